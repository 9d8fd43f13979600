import { variationById, variationByCode } from "../catalogue/catalogue";
import { ruledAs, traitsOfRow } from "../catalogue/traits";
import type { Variation } from "../catalogue/variation";
import type { FitContext } from "../judge/context";
import { judge } from "../judge/judge";
import { fitVariation } from "../progressions/search";
import { bindingLimits } from "../limits/limit";
import type { SessionItem } from "./session";

/** What a whole session is looked through for. Source: handbook I, 29. */
export const SCANNED = ["spine-load", "spine-bends", "belly", "lying", "kneeling", "balance", "impact", "grip", "closed"] as const;
export type Scanned = (typeof SCANNED)[number];
export interface Finding {
  about: Scanned;
  itemId: string;
  /** A row that ends it, open today. */
  swapTo: string | null;
}
/** What the session comes to, whether or not it conflicts with anything. */
export interface Scan {
  findings: Finding[];
  counts: Readonly<Partial<Record<Exclude<Scanned, "closed">, number>>>;
  mostSpineN: number;
}

function traitsAbout(row: Variation): Exclude<Scanned, "closed">[] {
  const traits = traitsOfRow(row);
  return [
    ...(row.tags.back >= 2 ? (["spine-load"] as const) : []),
    ...(traits.includes("spine-bends") ? (["spine-bends"] as const) : []),
    ...(row.tags.position === "face-down" ? (["belly"] as const) : []),
    ...(traits.includes("lying") ? (["lying"] as const) : []),
    ...(traits.includes("kneeling") ? (["kneeling"] as const) : []),
    ...(row.tags.balance >= 2 ? (["balance"] as const) : []),
    ...(traits.includes("impact") ? (["impact"] as const) : []),
    ...(row.equipment.some((kind) => ["barbell", "hex-bar", "dumbbell", "strap"].includes(kind)) && row.tags.back >= 1
      ? (["grip"] as const)
      : []),
  ];
}

/** What of a row runs against this client, whatever its use: a back that is sore, a belly, a limit. */
function conflictsOf(context: FitContext, row: Variation, item: SessionItem): Scanned[] {
  const { careful, limits, today } = context;
  const never = bindingLimits(limits, today).flatMap(({ rule }) => (rule.kind === "never" ? [rule.what as string] : []));
  const about = traitsAbout(row).filter(
    (each) =>
      (each === "spine-load" && careful.length > 0) ||
      (each === "spine-bends" && careful.includes("back")) ||
      (each === "lying" && never.includes("lying")) ||
      (each === "kneeling" && never.includes("kneeling")) ||
      (each === "impact" && never.includes("impact")) ||
      (each === "belly" && never.includes("face-down")),
  );
  const isClosed = judge(context, row, item.setting, "closing").state === "closed";
  return [...about, ...(isClosed ? (["closed"] as const) : [])];
}

/** An open row that does the same without the conflict: what the rules name first, then easier neighbours. */
function swapFor(context: FitContext, row: Variation, about: Scanned): string | null {
  const named = bindingLimits(context.limits, context.today).flatMap(({ rule }) =>
    rule.kind === "rows" && rule.codes.includes(ruledAs(row)) ? rule.instead : [],
  );
  const others = [
    ...named.flatMap((code) => variationByCode(code) ?? []),
    ...row.easier.map(variationById),
    ...row.harder.map(variationById),
  ];
  const found = others.find((other) => {
    if (other.pattern !== row.pattern || traitsAbout(other).some((each) => each === about)) return false;
    const { state } = fitVariation(context, other);
    return state === "open" || state === "try";
  });
  return found?.id ?? null;
}

/** The whole session looked through at once: each conflict with the swap that ends it. */
export function scan(context: FitContext, items: readonly SessionItem[]): Scan {
  const counts: Partial<Record<Exclude<Scanned, "closed">, number>> = {};
  const findings: Finding[] = [];
  let mostSpineN = 0;
  for (const item of items) {
    const row = variationById(item.variationId);
    for (const about of traitsAbout(row)) counts[about] = (counts[about] ?? 0) + 1;
    const spine = judge(context, row, item.setting, "closing").demands.find(({ channel }) => channel === "lowBackCompression");
    mostSpineN = Math.max(mostSpineN, spine?.high ?? 0);
    for (const about of conflictsOf(context, row, item)) findings.push({ about, itemId: item.id, swapTo: swapFor(context, row, about) });
  }
  return { findings, counts, mostSpineN };
}
