import { bodyFromMeasure } from "../body/body";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import { ask, HEADLINE } from "../templates/ask";
import { formProblems, leversOf, movedBy, startSetting } from "../templates/form";
import type { Subject } from "../templates/template";
import { variationByCode, variationById } from "./catalogue";
import type { Variation } from "./variation";

/** A trainer's own variation: the form of a row, what it was made from, and the codes it stands between. */
export interface OwnRow extends Omit<Variation, "easier" | "harder" | "ladderPlace" | "isKeptOut"> {
  /** Code of the row it was made from: what the trade knows of that one holds for it. */
  basedOn: string;
  easierCodes: readonly string[];
  harderCodes: readonly string[];
}
/** Ids of own rows are a trainer's alone, over all studios. */
export const OWN_ID = /^own-[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
export const isOwn = ({ id }: { id: string }): boolean => OWN_ID.test(id);

/** A row of the catalogue as the start of one's own. */
export const ownFrom = (row: Variation, id: string): OwnRow => {
  const { easier: _easier, harder, ladderPlace: _place, isKeptOut: _kept, isRetired: _retired, ...told } = row;
  return {
    ...told,
    id,
    code: "",
    revision: 1,
    name: `${row.name}, our way`,
    alsoCalled: [],
    basedOn: row.code,
    easierCodes: [row.code],
    harderCodes: harder.map((each) => variationById(each).code),
  };
};

const idsOf = (codes: readonly string[]): string[] => codes.flatMap((code) => variationByCode(code)?.id ?? []);
/** An own row as the catalogue has its rows; it stands one above the hardest of those below it. */
export function asVariation({ easierCodes, harderCodes, ...told }: OwnRow): Variation {
  const easier = idsOf(easierCodes);
  const places = easier.map((id) => variationById(id)).filter(({ pattern }) => pattern === told.pattern);
  return { ...told, easier, harder: idsOf(harderCodes), ladderPlace: 1 + Math.max(0, ...places.map(({ ladderPlace }) => ladderPlace)) };
}

/** Bodies that every start has to be reachable for: small and light, tall, and heavy. */
const BODIES: readonly Subject[] = (
  [
    [1.5, 48, "female"],
    [1.7, 140, "female"],
    [1.95, 91, "male"],
  ] as const
).map(([heightM, massKg, sex]) => ({ body: bodyFromMeasure({ heightM, massKg, sex }), posture: DEFAULT_POSTURE, leadSide: "right" }));

/** What is wrong with an own row, as the catalogue's own rows are checked. */
export type OwnProblem =
  | { code: "form"; problem: string }
  | { code: "name-taken"; by: string }
  | { code: "lever-missing"; lever: string }
  | { code: "start-outside"; lever: string }
  | { code: "start-impossible"; heightM: number; massKg: number; reason: string }
  | { code: "no-such-row"; row: string }
  | { code: "leads-back"; row: string }
  | { code: "trains-nothing" | "too-few-cues" | "set-up-short" };

/** Whether a harder row leads down to one that is said to be easier. */
function leadsBack(easierId: string, harderId: string): boolean {
  const seen = new Set<string>();
  const queue = [harderId];
  for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
    if (id === easierId) return true;
    if (seen.has(id)) continue;
    seen.add(id);
    queue.push(...variationById(id).harder);
  }
  return false;
}

/** `others` are the studio's other own rows: two of one name cannot be told apart. */
export function ownProblems(row: OwnRow, others: readonly OwnRow[] = []): OwnProblem[] {
  const problems: OwnProblem[] = formProblems(row).map((problem) => ({ code: "form", problem }));
  const same = others.find(({ id, name, isRetired }) => id !== row.id && !isRetired && name.toLowerCase() === row.name.toLowerCase());
  if (same) problems.push({ code: "name-taken", by: same.name });
  if (problems.length === 0) {
    const moved = movedBy(row);
    if (!row.levers.some(({ lever }) => lever === moved)) problems.push({ code: "lever-missing", lever: moved });
    for (const subject of BODIES) {
      for (const { lever, min, max, start } of leversOf(subject, row))
        if (!(min <= start && start <= max)) problems.push({ code: "start-outside", lever });
      const asked = ask(subject, row, startSetting(subject, row), HEADLINE);
      const { heightM, massKg } = subject.body;
      if (!asked.ok) problems.push({ code: "start-impossible", heightM, massKg, reason: asked.reason });
    }
  }
  for (const code of [row.basedOn, ...row.easierCodes, ...row.harderCodes])
    if (!variationByCode(code)) problems.push({ code: "no-such-row", row: code });
  for (const easier of idsOf(row.easierCodes))
    for (const harder of idsOf(row.harderCodes))
      if (leadsBack(easier, harder)) problems.push({ code: "leads-back", row: variationById(harder).code });
  if (Object.keys(row.trains).length === 0) problems.push({ code: "trains-nothing" });
  if (row.cues.length < 2) problems.push({ code: "too-few-cues" });
  if (row.setUp.length < 20) problems.push({ code: "set-up-short" });
  return problems;
}

/** Rows as a file: what is handed from studio to studio. */
export interface OwnRowsFile {
  format: "ponderis-rows";
  version: 1;
  rows: readonly OwnRow[];
}
export const fileOf = (rows: readonly OwnRow[]): OwnRowsFile => ({ format: "ponderis-rows", version: 1, rows });
