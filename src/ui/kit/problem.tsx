"use client";
import { Notice } from "./layout";

/** What went wrong, announced as it appears. */
export const Problem = ({ text }: { text: string | null }) =>
  text === null ? null : (
    <Notice $tone="oxide" role="alert">
      {text}
    </Notice>
  );
