import { NextResponse, type NextRequest } from "next/server";

/** The content policy of every page, with a nonce of its own. The other headers are the door's: scripts/serve.mjs. */
export function proxy(request: NextRequest): NextResponse {
  const nonce = Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString("base64");
  const isDev = process.env.NODE_ENV !== "production";
  const policy = [
    `default-src 'self'; script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${isDev ? ` 'unsafe-eval'` : ""}`,
    isDev ? `style-src 'self' 'unsafe-inline'` : `style-src 'self' 'nonce-${nonce}'`,
    `style-src-attr 'unsafe-inline'`, // style="" in the server's HTML (React Aria, Recharts) cannot carry a nonce
    `img-src 'self' data: blob:; media-src 'self' blob:; font-src 'self'; connect-src 'self'${isDev ? " ws:" : ""}; worker-src 'self'`,
    `object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'`,
  ].join("; ");
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("content-security-policy", policy); // Next reads the nonce from here and puts it on its scripts
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy);
  return response;
}

export const config = {
  matcher: ["/((?!_next/static|_next/image|icon.svg|floor-sw.js|api/).*)"],
};
