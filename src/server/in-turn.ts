import "server-only";
import pLimit from "p-limit";

/** What takes a while and much memory each: so many at once, and the others wait, so that pages and health do not. */
const HEAVY_AT_ONCE = 2;
/** A picture drawn anew, or one client's archive read for a whole studio's. */
export const inTurn = pLimit(HEAVY_AT_ONCE);
