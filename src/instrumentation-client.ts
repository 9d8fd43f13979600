/**
 * Runs before anything else in the browser. Next's fallback document (a page not found, a page that broke) comes
 * without our head, so the styles' nonce is taken over from its scripts.
 */
if (!document.querySelector("meta[property=csp-nonce]")) {
  const nonce = document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
  if (nonce) {
    const meta = document.createElement("meta");
    meta.setAttribute("property", "csp-nonce");
    meta.nonce = nonce;
    document.head.append(meta);
  }
}

export {};
