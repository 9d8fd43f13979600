import "server-only";
import sharp from "sharp";

/** A letter as it is kept: pictures without anything but the picture, PDFs as they came. */
export type LetterFile = { mediaType: "image/jpeg" | "application/pdf"; bytes: Buffer };
export type LetterProblem = "not-a-letter" | "too-large";

const MOST_PIXELS = 60_000_000;
const LONGEST_SIDE_PX = 2400;
const QUALITY = 82;
const isPdf = (bytes: Buffer): boolean => bytes.subarray(0, 5).toString("latin1") === "%PDF-";

/**
 * What was sent, by its own first bytes and never by its name: a PDF as it is, or a picture drawn anew, upright, no larger
 * than can be read, without place, time or camera.
 */
export async function letterFrom(bytes: Buffer): Promise<{ ok: true; file: LetterFile } | { ok: false; problem: LetterProblem }> {
  if (isPdf(bytes)) return { ok: true, file: { mediaType: "application/pdf", bytes } };
  try {
    const drawn = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "error" })
      .rotate() // as the camera was held: that, too, is said in what is taken away
      .resize({ width: LONGEST_SIDE_PX, height: LONGEST_SIDE_PX, fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: QUALITY })
      .toBuffer();
    return { ok: true, file: { mediaType: "image/jpeg", bytes: drawn } };
  } catch {
    return { ok: false, problem: "not-a-letter" };
  }
}
