/** 32 random bytes, as a link carries them: made on the page, so that the studio never has to know more than their hash. */
export const newSecret = (): string =>
  btoa(String.fromCharCode(...crypto.getRandomValues(new Uint8Array(32))))
    .replaceAll("+", "-")
    .replaceAll("/", "_")
    .replaceAll("=", "");
