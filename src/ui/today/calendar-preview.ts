import { v4 as newUuid } from "uuid";
import type { CalendarEntry } from "../../formats/visits";
import type { Visit } from "../../core/week/visit";

/** An entry of a calendar beside what the studio has: whose it is taken to be, and what would become of it. */
export type Previewed = { title: string; day: string } & (
  | { problem: Extract<CalendarEntry, { problem: string }>["problem"] }
  | { visit: Omit<Visit, "id" | "clientId">; clientId: string | null; known: Visit | null; isSame: boolean }
);

/** Whose name stands in a title: the whole name, or one part of it that nobody else has. */
export function clientIn(title: string, clients: readonly { id: string; name: string }[]): string | null {
  const words = ` ${title.toLowerCase().replaceAll(/[^\p{L}\p{N}]+/gu, " ")} `;
  const has = (name: string): boolean => words.includes(` ${name.toLowerCase()} `);
  const whole = clients.filter(({ name }) => has(name));
  const named = whole.length > 0 ? whole : clients.filter(({ name }) => name.split(/\s+/).some(has));
  return named.length === 1 ? (named[0]?.id ?? null) : null;
}

/** By its own identifier an entry is the visit that was read before: changed, not doubled. */
export const preview = (
  entries: readonly CalendarEntry[],
  clients: readonly { id: string; name: string }[],
  visits: readonly Visit[],
): Previewed[] =>
  entries.map((entry): Previewed => {
    const { title, day } = entry;
    if ("problem" in entry) return { title, day, problem: entry.problem };
    const known = visits.find(({ uid }) => uid === entry.visit.uid) ?? null;
    const { id: _id, clientId: _clientId, ...kept } = known ?? { id: "", clientId: "" };
    const isSame = known !== null && sameVisit(kept as Omit<Visit, "id" | "clientId">, entry.visit);
    return { title, day, visit: entry.visit, clientId: known?.clientId ?? clientIn(title, clients), known, isSame };
  });
const sameVisit = (a: Omit<Visit, "id" | "clientId">, b: Omit<Visit, "id" | "clientId">): boolean =>
  a.day === b.day &&
  a.at === b.at &&
  a.minutes === b.minutes &&
  a.everyWeeks === b.everyWeeks &&
  a.untilDay === b.untilDay &&
  JSON.stringify(a.except) === JSON.stringify(b.except);

/** What is kept of them: those with a client that are new or changed. */
export const keptOf = (rows: readonly Previewed[]): Visit[] =>
  rows.flatMap((row) =>
    "problem" in row || row.clientId === null || row.isSame
      ? []
      : [{ ...row.visit, id: row.known?.id ?? newUuid(), clientId: row.clientId }],
  );
