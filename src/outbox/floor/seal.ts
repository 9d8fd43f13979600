/** What is locked: AES-GCM under a key that only its person's signed-in pages are given. */
export interface Sealed {
  iv: Uint8Array<ArrayBuffer>;
  data: ArrayBuffer;
}

/** The person's key for this browser, not readable from it again; null where the page is not secure and nothing can be locked. */
export async function keyFrom(lockKey: string): Promise<CryptoKey | null> {
  if (!("subtle" in crypto)) return null;
  const bytes = Uint8Array.from(atob(lockKey), (char) => char.charCodeAt(0));
  return crypto.subtle.importKey("raw", bytes, "AES-GCM", false, ["encrypt", "decrypt"]);
}

export async function seal(key: CryptoKey, value: unknown): Promise<Sealed> {
  const iv = crypto.getRandomValues(new Uint8Array(12));
  return { iv, data: await crypto.subtle.encrypt({ name: "AES-GCM", iv }, key, new TextEncoder().encode(JSON.stringify(value))) };
}

/** @throws OperationError where the key is another's */
export async function unseal(key: CryptoKey, { iv, data }: Sealed): Promise<unknown> {
  return JSON.parse(new TextDecoder().decode(await crypto.subtle.decrypt({ name: "AES-GCM", iv }, key, data)));
}
