import type { Metadata, Viewport } from "next";
import localFont from "next/font/local";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { Providers } from "../ui/shell/providers";
import { NonceMeta, StyledRegistry } from "../ui/shell/styled-registry";

const text = localFont({
  src: "./fonts/atkinson-hyperlegible-next-latin-wght-normal.woff2",
  weight: "200 800",
  variable: "--font-text",
  display: "swap",
});
const head = localFont({ src: "./fonts/archivo-latin-wdth-normal.woff2", weight: "100 900", variable: "--font-head", display: "swap" });

export const metadata: Metadata = {
  title: { default: "Ponderis", template: "%s · Ponderis" },
  description: "What this joint is asked, against what it can take.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1, themeColor: "#0f2a3d" };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get("x-nonce") ?? undefined;
  return (
    <html lang="en" className={`${text.variable} ${head.variable}`}>
      <head>
        <NonceMeta nonce={nonce} />
      </head>
      <body>
        <StyledRegistry nonce={nonce}>
          <Providers>{children}</Providers>
        </StyledRegistry>
      </body>
    </html>
  );
}
