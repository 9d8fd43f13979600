"use client";
import { useServerInsertedHTML } from "next/navigation";
import { type ReactNode, useState } from "react";
import { ServerStyleSheet, StyleSheetManager } from "styled-components";

/** Styles in the server's HTML, with the page's nonce. */
export function StyledRegistry({ nonce, children }: { nonce: string | undefined; children: ReactNode }) {
  const [sheet] = useState(() => (typeof window === "undefined" ? new ServerStyleSheet(nonce === undefined ? {} : { nonce }) : null));
  useServerInsertedHTML(() => {
    if (!sheet) return null;
    const styles = sheet.getStyleElement();
    sheet.instance.clearTag(); // streaming: emit each rule once
    return <>{styles}</>;
  });
  if (!sheet) return <>{children}</>; // in the browser the nonce comes from <NonceMeta>
  return <StyleSheetManager sheet={sheet.instance}>{children}</StyleSheetManager>;
}

/**
 * Read by styled-components (it rehydrates at import, before any provider) and by React Aria. Frozen: after a server
 * action the layout renders with a new nonce, but the document keeps the policy of its first load.
 */
export function NonceMeta({ nonce }: { nonce: string | undefined }) {
  const [first] = useState(nonce);
  return <meta property="csp-nonce" nonce={first} suppressHydrationWarning />;
}
