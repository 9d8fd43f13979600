const BROWSERS: readonly (readonly [sign: RegExp, name: string])[] = [
  [/Edg\//, "Edge"],
  [/Firefox\//, "Firefox"],
  [/Chrom(e|ium)\//, "Chrome"],
  [/Safari\//, "Safari"],
];
const SYSTEMS: readonly (readonly [sign: RegExp, name: string])[] = [
  [/iPad/, "an iPad"],
  [/iPhone/, "an iPhone"],
  [/Android/, "an Android device"],
  [/Windows/, "Windows"],
  [/Mac OS X/, "a Mac"],
  [/Linux/, "Linux"],
];
const nameIn = (userAgent: string, names: typeof BROWSERS): string | undefined => names.find(([sign]) => sign.test(userAgent))?.[1];

/** "Chrome on an Android device", or what can be said of it. */
export function deviceText(userAgent: string): string {
  const [browser, system] = [nameIn(userAgent, BROWSERS), nameIn(userAgent, SYSTEMS)];
  if (browser && system) return `${browser} on ${system}`;
  return browser ?? system ?? "A device that does not say what it is";
}
