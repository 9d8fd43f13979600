import path from "node:path";
import { Font } from "@react-pdf/renderer";

/** Fonts that every PDF carries with it. */
const font = (name: string, file: string): string => path.join(process.cwd(), "node_modules", "@fontsource", name, "files", file);
export const TEXT = ["Text", "TextExt", "Signs"];
let isRegistered = false;
export function registerFonts(): void {
  if (isRegistered) return;
  const text = "atkinson-hyperlegible-next";
  for (const [family, subset] of [
    ["Text", "latin"],
    ["TextExt", "latin-ext"],
  ] as const)
    Font.register({
      family,
      fonts: [400, 700].map((weight) => ({ src: font(text, `${text}-${subset}-${weight}-normal.woff`), fontWeight: weight })),
    });
  Font.register({
    family: "Signs",
    fonts: [400, 700].map((weight) => ({ src: font("noto-sans-math", "noto-sans-math-latin-400-normal.woff"), fontWeight: weight })),
  });
  Font.registerHyphenationCallback((word) => [word]); // no word is broken
  isRegistered = true;
}
