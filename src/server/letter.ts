import "server-only";
import sharp from "sharp";
import { inTurn } from "./in-turn";

/** A letter as it is kept: pictures without anything but the picture, PDFs as they came. */
export type LetterFile = { mediaType: "image/jpeg" | "application/pdf"; bytes: Buffer };
export type LetterProblem = "not-a-letter" | "too-large";

const MOST_PIXELS = 60_000_000;
const MOST_S = 10;
/** What a phone or a scanner makes, and nothing that draws or runs: every other decoder is shut, whatever a file calls itself. */
const DECODERS = ["Jpeg", "Png", "Webp", "Heif"] as const;
sharp.block({ operation: ["VipsForeignLoad"] });
sharp.unblock({ operation: DECODERS.map((name) => `VipsForeignLoad${name}Buffer`) });
/** Threads are shared with the hashing of passwords: pictures take half of them and wait for each other, and no sign-in for them. */
sharp.concurrency(1);
const LONGEST_SIDE_PX = 2400;
const QUALITY = 82;
const PICTURE_SIDE_PX = 1600;
const isPdf = (bytes: Buffer): boolean => bytes.subarray(0, 5).toString("latin1") === "%PDF-";

/** A picture drawn anew, upright, no larger than this, without place, time or camera; null where it is none. */
const drawnAnew = (bytes: Buffer, longestSidePx: number): Promise<Buffer | null> =>
  inTurn(() =>
    sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "error" }) // its size is read before anything is drawn
      .rotate() // as the camera was held: that, too, is said in what is taken away
      .resize({ width: longestSidePx, height: longestSidePx, fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: QUALITY })
      .timeout({ seconds: MOST_S })
      .toBuffer(),
  ).catch(() => null);

/** A picture of a repetition as it is kept; null where it is none. */
export const pictureFrom = (bytes: Buffer): Promise<Buffer | null> => drawnAnew(bytes, PICTURE_SIDE_PX);

/**
 * What was sent, by its own first bytes and never by its name: a PDF as it is, or a picture drawn anew, upright, no larger
 * than can be read, without place, time or camera.
 */
export async function letterFrom(bytes: Buffer): Promise<{ ok: true; file: LetterFile } | { ok: false; problem: LetterProblem }> {
  if (isPdf(bytes)) return { ok: true, file: { mediaType: "application/pdf", bytes } };
  const drawn = await drawnAnew(bytes, LONGEST_SIDE_PX);
  return drawn ? { ok: true, file: { mediaType: "image/jpeg", bytes: drawn } } : { ok: false, problem: "not-a-letter" };
}
