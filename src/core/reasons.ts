/** Plain data that every layer may read. Sentences are made from it in src/words. */

/** One problem with an input: where, which rule, and the rule's bound. Codes are the schema library's. */
export interface Issue {
  path: string;
  code: string;
  limit?: number;
  allowed?: string[];
}

export type Parsed<T> = { ok: true; value: T } | { ok: false; issues: Issue[] };

/** Closes a switch over a union: a new member does not compile until it is handled. */
export const unreachable = (value: never): never => {
  throw new TypeError(`unexpected value ${JSON.stringify(value)}`);
};
