/** What a device has to tell: made there, known by its id wherever it is, and in the order of its taps. */
export interface Entry {
  id: string;
  sequence: number;
}
/** An entry on this device, and what the studio has said of it. */
export interface Kept<E extends Entry, R extends string = string> {
  event: E;
  state: "waiting" | "sent" | "refused";
  refusal?: R;
}

/** A device's own store. Every call may fail: blocked, denied, full, or closed under our feet. */
export interface EntryStore<E extends Entry, R extends string = string> {
  /** Ready to be used, and something written in it really there. */
  open: () => Promise<void>;
  put: (all: readonly Kept<E, R>[]) => Promise<void>;
  /** What the studio does not have. */
  unsent: () => Promise<Kept<E, R>[]>;
  lastSequence: () => Promise<number>;
}

/** What became of one batch. Only what the studio names itself has arrived or was refused; anything else is sent again. */
export type Answer<R extends string = string> =
  | { kind: "verdict"; verdict: { received: string[]; refused: { id: string; code: R }[] } }
  | { kind: "signed-out" | "ended" | "too-large" | "no-answer" };

/** One person's way to the studio: where it is kept meanwhile, and how it is sent. */
export interface Way<E extends Entry, R extends string = string> {
  /** By which tabs of one person know each other: one sends at a time. */
  name: string;
  store: EntryStore<E, R>;
  send: (entries: readonly E[]) => Promise<Answer<R>>;
}

const isText = (value: unknown): value is string => typeof value === "string";
/** A verdict as the studio gives it; null where an answer is anything else. */
export function verdictFrom(body: unknown): { received: string[]; refused: { id: string; code: string }[] } | null {
  const { received, refused } = (body ?? {}) as { received?: unknown; refused?: unknown };
  if (!Array.isArray(received) || !received.every(isText) || !Array.isArray(refused)) return null;
  const named = refused as { id?: unknown; code?: unknown }[];
  if (!named.every((each) => isText(each?.id) && isText(each.code))) return null;
  return { received, refused: named.map(({ id, code }) => ({ id: id as string, code: code as string })) };
}
