"use client";
import { useState } from "react";
import { TextButton } from "../kit/button";
import { Notice } from "../kit/layout";
import { saveFile } from "../kit/save-file";

/** What was erased just now, in numbers: whose it was is nowhere any more, and not here either. */
export function ErasedReceipt({ factCount, studioName, by }: { factCount: number; studioName: string; by: string }) {
  const [at] = useState(() => new Date());
  const words = `${studioName}: every trace of one client was erased, ${factCount} facts, on ${at.toISOString().slice(0, 10)}, by ${by}. Backups made before keep them until they run out.`;
  return (
    <Notice role="status" style={{ maxWidth: 1244, margin: "10px auto 0" }}>
      {words}{" "}
      <TextButton onPress={() => saveFile("erased.txt", "text/plain", `${words}\n${at.toISOString()}\n`)}>Save this receipt</TextButton>
    </Notice>
  );
}
