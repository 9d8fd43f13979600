import type { Metadata, Viewport } from "next";
import localFont from "next/font/local";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { passkeysAreHere } from "../server/auth";
import { signedIn } from "../server/session";
import { StudioClock } from "../ui/kit/studio-clock";
import { Providers } from "../ui/shell/providers";
import { SignInOver } from "../ui/shell/sign-in-over";
import { NonceMeta, StyledRegistry } from "../ui/shell/styled-registry";

const text = localFont({
  src: "./fonts/atkinson-hyperlegible-next-latin-wght-normal.woff2",
  weight: "200 800",
  variable: "--font-text",
  display: "swap",
});
const head = localFont({ src: "./fonts/archivo-latin-wdth-normal.woff2", weight: "100 900", variable: "--font-head", display: "swap" });
// names of every Latin script (the font loader takes literals only, so the range stands twice): fetched only by a page that shows one, and without a stand-in that would come first
const textExt = localFont({
  src: "./fonts/atkinson-hyperlegible-next-latin-ext-wght-normal.woff2",
  weight: "200 800",
  variable: "--font-text-ext",
  display: "swap",
  preload: false,
  adjustFontFallback: false,
  declarations: [
    {
      prop: "unicode-range",
      value:
        "U+0100-02BA, U+02BD-02C5, U+02C7-02CC, U+02CE-02D7, U+02DD-02FF, U+0304, U+0308, U+0329, U+1D00-1DBF, U+1E00-1E9F, U+1EF2-1EFF, U+2020, U+20A0-20AB, U+20AD-20C0, U+2113, U+2C60-2C7F, U+A720-A7FF",
    },
  ],
});
const headExt = localFont({
  src: "./fonts/archivo-latin-ext-wdth-normal.woff2",
  weight: "100 900",
  variable: "--font-head-ext",
  display: "swap",
  preload: false,
  adjustFontFallback: false,
  declarations: [
    {
      prop: "unicode-range",
      value:
        "U+0100-02BA, U+02BD-02C5, U+02C7-02CC, U+02CE-02D7, U+02DD-02FF, U+0304, U+0308, U+0329, U+1D00-1DBF, U+1E00-1E9F, U+1EF2-1EFF, U+2020, U+20A0-20AB, U+20AD-20C0, U+2113, U+2C60-2C7F, U+A720-A7FF",
    },
  ],
});

export const metadata: Metadata = {
  title: { default: "Ponderis", template: "%s · Ponderis" },
  description: "What this joint is asked, against what it can take.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1, themeColor: "#0f2a3d" };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get("x-nonce") ?? undefined;
  // a private page brings its own; where the studio does not answer the page says so, and this is only its frame
  const by = await signedIn().catch(() => null);
  return (
    <html lang="en" className={[text, head, textExt, headExt].map(({ variable }) => variable).join(" ")}>
      <head>
        <NonceMeta nonce={nonce} />
      </head>
      <body>
        <StyledRegistry nonce={nonce}>
          <Providers>
            <SignInOver personId={by?.scope.actorId ?? null} passkeysAreHere={passkeysAreHere()}>
              <StudioClock timeZone={by?.timeZone ?? "UTC"}>{children}</StudioClock>
            </SignInOver>
          </Providers>
        </StyledRegistry>
      </body>
    </html>
  );
}
