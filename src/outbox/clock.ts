/**
 * A clock that goes on evenly, whatever becomes of the tablet's: milliseconds since 1970 as this page knew them when it
 * was opened. Timers, counts and the times of events all go by it.
 */
export const steadyMs = (): number => performance.timeOrigin + performance.now();
