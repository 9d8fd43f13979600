/** What was answered, measured or read. */
export interface Known<T> {
  readonly isKnown: true;
  readonly value: T;
}
/** That nobody did: not false, not zero, not the other side. */
export interface NotMeasured {
  readonly isKnown: false;
}
/**
 * What a decision is taken on. A fact is kept as null where nobody gave it; a decision takes it as a reading, since
 * `reading ?? 0`, `!reading` and `reading > 2` are no way to a yes: the first two are always as if it were known, which
 * lint flags, and the third does not compile.
 */
export type Reading<T> = Known<T> | NotMeasured;

export const NOT_MEASURED: NotMeasured = { isKnown: false };
export const known = <T>(value: T): Known<T> => ({ isKnown: true, value });
export const readingOf = <T extends NonNullable<unknown>>(value: T | null | undefined): Reading<T> =>
  value === null || value === undefined ? NOT_MEASURED : known(value);
/** Known, and so. What nobody knows is not. */
export const isKnownTo = <T>(reading: Reading<T>, is: (value: T) => boolean): boolean => reading.isKnown && is(reading.value);
