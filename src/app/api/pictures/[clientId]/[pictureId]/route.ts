import { inStudio, readStudio } from "../../../../../data/orm";
import { keepPicture } from "../../../../../steps/picture";
import { dropPicture, readPicture } from "../../../../../data/repos/picture.repo";
import { parse } from "../../../../../schemas/parse";
import { pictureSchema } from "../../../../../schemas/picture.schema";
import { isForeign, readBytes } from "../../../../../server/door";
import { pictureFrom } from "../../../../../server/letter";
import { log } from "../../../../../server/log";
import { onlyLooks, signedIn } from "../../../../../server/session";

interface Context {
  params: Promise<{ clientId: string; pictureId: string }>;
}

/** A picture of a repetition that the client agreed to: its bytes as the body, what is said of it in the address. Sent twice, it is one. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return Response.json({ code: "signed-out" }, { status: 401 });
  if (by.role === "reader") return onlyLooks();
  const { clientId, pictureId: id } = await params;
  const said = parse(pictureSchema, { ...Object.fromEntries(new URL(request.url).searchParams), id });
  if (!said.ok) return Response.json({ issues: said.issues }, { status: 400 });
  const body = await readBytes(request);
  if (!body.ok) return body.answer;
  const bytes = await pictureFrom(body.value);
  if (!bytes) return Response.json({ refusal: { code: "not-a-picture" } }, { status: 422 });
  const taken = await inStudio(by.scope.studioId, (em) => keepPicture(by.scope, em, clientId, { ...said.value, bytes }));
  log.info({ step: "picture", studio: by.scope.studioId, outcome: taken.ok ? "taken" : taken.refusal.code });
  return Response.json(taken, { status: taken.ok ? 200 : 422 });
}

/** One picture of this studio's client. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  const { clientId, pictureId } = await params;
  const picture = await readStudio(by.scope.studioId, (em) => readPicture(by.scope, em, clientId, pictureId));
  if (!picture) return new Response(null, { status: 404 });
  return new Response(new Uint8Array(picture.bytes), { headers: { "content-type": "image/jpeg", "cache-control": "private, no-store" } });
}

/** Taken back: gone for good. */
export async function DELETE(request: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  if (by.role === "reader") return onlyLooks();
  if (isForeign(request)) return new Response(null, { status: 403 });
  const { clientId, pictureId } = await params;
  const wasThere = await inStudio(by.scope.studioId, (em) => dropPicture(by.scope, em, clientId, pictureId));
  return new Response(null, { status: wasThere ? 204 : 404 });
}
