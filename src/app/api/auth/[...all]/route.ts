import { auth } from "../../../../server/auth";

/** Of all that the sign-in library answers over the network, what signs in; everything else goes through our own actions. */
const OPEN = "/api/auth/sign-in/email";

export const POST = (request: Request): Response | Promise<Response> =>
  new URL(request.url).pathname === OPEN ? auth().handler(request) : new Response(null, { status: 404 });
