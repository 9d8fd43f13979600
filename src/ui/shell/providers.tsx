"use client";
import { useRouter } from "next/navigation";
import type { ReactNode } from "react";
import { I18nProvider, RouterProvider } from "react-aria-components";
import { GlobalStyle } from "../theme/global-style";

export function Providers({ children }: { children: ReactNode }) {
  const router = useRouter();
  return (
    <I18nProvider locale="en-GB">
      <RouterProvider navigate={(path) => router.push(path)}>
        <GlobalStyle />
        {children}
      </RouterProvider>
    </I18nProvider>
  );
}
