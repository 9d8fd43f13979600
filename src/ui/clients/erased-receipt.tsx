"use client";
import type { Day } from "../../core/day";
import { TextButton } from "../kit/button";
import { Notice } from "../kit/layout";
import { saveFile } from "../kit/save-file";
import { longDayText } from "../../words/basics/day";

/** What was erased just now, in numbers: whose it was is nowhere any more, and not here either. */
export function ErasedReceipt({ entryCount, studioName, by, today }: { entryCount: number; studioName: string; by: string; today: Day }) {
  const words = `${studioName}: every trace of one client was erased, ${entryCount} entries, on ${longDayText(today)}, by ${by}. Backups made before keep them until they run out.`;
  return (
    <Notice role="status" style={{ maxWidth: 1244, margin: "10px auto 0" }}>
      {words} <TextButton onPress={() => saveFile(`erased-${today}.txt`, "text/plain", `${words}\n`)}>Save this receipt</TextButton>
    </Notice>
  );
}
