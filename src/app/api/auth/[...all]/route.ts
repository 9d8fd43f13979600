import { toNextJsHandler } from "better-auth/next-js";
import { auth } from "../../../../server/auth";

const handle = (request: Request): Promise<Response> => auth().handler(request);
export const { GET, POST } = toNextJsHandler(handle);
