import bodySizes from "./body-sizes.json";

/** What a route that takes JSON lets in: our own pages' requests, of a bounded size. */
type Body<T> = { ok: true; value: T } | { ok: false; answer: Response };

const turnedAway = (status: number, code: string): { ok: false; answer: Response } => ({
  ok: false,
  answer: Response.json({ refusal: { code }, code }, { status }),
});

/** Reads no further than `most` bytes, whatever the sender claims; null where there are more. */
async function readAtMost(request: Request, most: number): Promise<Buffer | null> {
  if (Number(request.headers.get("content-length") ?? 0) > most) return null;
  const parts: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
    size += part.value.byteLength;
    if (size > most) {
      await reader?.cancel();
      return null;
    }
    parts.push(part.value);
  }
  return Buffer.concat(parts);
}
export const isForeign = (request: Request): boolean => request.headers.get("origin") !== new URL(process.env["APP_URL"] ?? "").origin;

/** A file from one of our own pages, or the answer that turns it away. */
export async function readBytes(request: Request, most = bodySizes.mostLetterBytes): Promise<Body<Buffer>> {
  if (isForeign(request)) return turnedAway(403, "foreign-origin");
  if (!/^application\/octet-stream(;|$)/i.test(request.headers.get("content-type") ?? "")) return turnedAway(415, "not-a-file");
  const bytes = await readAtMost(request, most).catch(() => null);
  return bytes === null ? turnedAway(413, "too-large") : { ok: true, value: bytes };
}

/** Nothing of ours is nested deeper than a dozen. */
const MOST_DEEP = 64;
const [QUOTE, BACKSLASH, LIST, LIST_END, OBJECT, OBJECT_END] = [...Buffer.from('"\\[]{}')];
/** Whether JSON is nested deeper than anything of ours: a reader of it takes a tenth of a second for half a megabyte of brackets. */
export function isTooDeep(json: Uint8Array): boolean {
  let depth = 0;
  let isInText = false;
  for (let i = 0; i < json.length; i++) {
    const byte = json[i];
    if (isInText) {
      if (byte === BACKSLASH) i++;
      else if (byte === QUOTE) isInText = false;
    } else if (byte === QUOTE) isInText = true;
    else if (byte === LIST || byte === OBJECT) {
      if (++depth > MOST_DEEP) return true;
    } else if (byte === LIST_END || byte === OBJECT_END) depth--;
  }
  return false;
}

/** JSON from one of our own pages, or the answer that turns it away. */
export async function readJson(request: Request, most = bodySizes.mostBytes): Promise<Body<unknown>> {
  if (isForeign(request)) return turnedAway(403, "foreign-origin");
  if (!/^application\/json(;|$)/i.test(request.headers.get("content-type") ?? "")) return turnedAway(415, "not-json");
  const bytes = await readAtMost(request, most).catch(() => null);
  if (bytes === null) return turnedAway(413, "too-large");
  if (isTooDeep(bytes)) return turnedAway(400, "not-json");
  try {
    return { ok: true, value: JSON.parse(bytes.toString("utf8")) };
  } catch {
    return turnedAway(400, "not-json");
  }
}
