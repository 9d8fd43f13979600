import type { Sex } from "../body/body";
import { DE_LEVA, type SegmentCell, WINTER } from "./segment.data";

export const SEGMENT_SOURCES = ["de-leva", "winter"] as const;
export interface SegmentAsked {
  table: (typeof SEGMENT_SOURCES)[number];
  sex: Sex;
  massKg: number;
  segment: string;
  lengthM?: number;
}
export const segmentNames = (table: SegmentAsked["table"]): string[] => Object.keys(table === "winter" ? WINTER : DE_LEVA);

/** Mass of one segment (of one side), and where its centre lies from the proximal end where a length is given. @throws RangeError for no segment of the table */
export function segment({ table, sex, massKg, segment: name, lengthM }: SegmentAsked): { massKg: number; comFromProximalM: number | null } {
  const cell: SegmentCell | undefined = table === "winter" ? WINTER[name] : DE_LEVA[name]?.[sex];
  if (!cell) throw new RangeError(`no segment ${name} in ${table}`);
  const [massPercent, comPercent] = cell;
  return { massKg: (massPercent / 100) * massKg, comFromProximalM: lengthM === undefined ? null : (comPercent / 100) * lengthM };
}
