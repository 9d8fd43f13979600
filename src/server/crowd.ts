import "server-only";
import { headers } from "next/headers";

/** So many documents at once are drawn whole: more than a studio opens in the same half second, save when all tablets wake together. */
const DRAWN_AT_ONCE = 3;

/**
 * Whether more documents are asked for at once than are worth drawing here: then a station comes as its facts, and each
 * device draws its own, rather than the last one waiting for all drawings (counted in scripts/serve.mjs).
 */
export const isCrowded = async (): Promise<boolean> => Number((await headers()).get("x-documents-now") ?? 0) > DRAWN_AT_ONCE;
