import { inStudio, readStudio } from "../../../../../data/orm";
import { keepLetter } from "../../../../../steps/letter";
import { readLetter } from "../../../../../data/repos/letter.repo";
import { letterSchema } from "../../../../../schemas/letter.schema";
import { parse } from "../../../../../schemas/parse";
import { readBytes } from "../../../../../server/door";
import { letterFrom } from "../../../../../server/letter";
import { log } from "../../../../../server/log";
import { onlyLooks, signedIn } from "../../../../../server/session";

interface Context {
  params: Promise<{ clientId: string; letterId: string }>;
}

/** A letter from one of our own pages: its bytes as the body, its day and author in the address. Sent twice with one id, it is one. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return Response.json({ code: "signed-out" }, { status: 401 });
  if (by.role === "reader") return onlyLooks();
  const { clientId, letterId } = await params;
  const { searchParams } = new URL(request.url);
  const said = parse(letterSchema, { id: letterId, day: searchParams.get("day"), by: searchParams.get("by") });
  if (!said.ok) return Response.json({ issues: said.issues }, { status: 400 });
  const body = await readBytes(request);
  if (!body.ok) return body.answer;
  const letter = await letterFrom(body.value);
  if (!letter.ok) return Response.json({ refusal: { code: letter.problem } }, { status: 422 });
  const taken = await inStudio(by.scope.studioId, (em) => keepLetter(by.scope, em, clientId, { ...said.value, ...letter.file }, by.today));
  log.info({ step: "letter", studio: by.scope.studioId, outcome: taken.ok ? "taken" : taken.refusal.code });
  return Response.json(taken, { status: taken.ok ? 200 : 422 });
}

/** One letter of this studio's client: a picture is shown, a PDF is saved; neither may do anything. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  const { clientId, letterId } = await params;
  const letter = await readStudio(by.scope.studioId, (em) => readLetter(by.scope, em, clientId, letterId));
  if (!letter) return new Response(null, { status: 404 });
  const isPicture = letter.mediaType === "image/jpeg";
  return new Response(new Uint8Array(letter.bytes), {
    headers: {
      "content-type": letter.mediaType,
      "content-disposition": `${isPicture ? "inline" : "attachment"}; filename="letter.${isPicture ? "jpg" : "pdf"}"`,
      "cache-control": "private, no-store",
    },
  });
}
