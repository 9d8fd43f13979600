import "server-only";
import { availableParallelism } from "node:os";
import pLimit from "p-limit";

/** What takes a while and much memory each: so many at once, and the others wait; a core is left to pages, sign-ins and health. */
const HEAVY_AT_ONCE = Math.max(1, Math.min(2, availableParallelism() - 1));
/** A picture drawn anew, or one client's archive read for a whole studio's. */
export const inTurn = pLimit(HEAVY_AT_ONCE);
