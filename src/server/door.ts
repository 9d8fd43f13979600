import bodySizes from "./body-sizes.json";

/** What a route that takes JSON lets in: our own pages' requests, of a bounded size. */
type Body = { ok: true; value: unknown } | { ok: false; answer: Response };

const turnedAway = (status: number, code: string): Body => ({ ok: false, answer: Response.json({ code }, { status }) });

/** Reads no further than `most` bytes, whatever the sender claims; null where there are more. */
async function readAtMost(request: Request, most: number): Promise<string | null> {
  if (Number(request.headers.get("content-length") ?? 0) > most) return null;
  const decoder = new TextDecoder();
  let [text, size] = ["", 0];
  const reader = request.body?.getReader();
  for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
    size += part.value.byteLength;
    if (size > most) {
      await reader?.cancel();
      return null;
    }
    text += decoder.decode(part.value, { stream: true });
  }
  return text + decoder.decode();
}

/** JSON from one of our own pages, or the answer that turns it away. */
export async function readJson(request: Request, most = bodySizes.mostBytes): Promise<Body> {
  if (request.headers.get("origin") !== new URL(process.env["APP_URL"] ?? "").origin) return turnedAway(403, "foreign-origin");
  if (!/^application\/json(;|$)/i.test(request.headers.get("content-type") ?? "")) return turnedAway(415, "not-json");
  const text = await readAtMost(request, most).catch(() => null);
  if (text === null) return turnedAway(413, "too-large");
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch {
    return turnedAway(400, "not-json");
  }
}
