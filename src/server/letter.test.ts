import { crc32 } from "node:zlib";
import sharp from "sharp";
import { describe, expect, test } from "vitest";
import { letterFrom, pictureFrom } from "./letter";

const picture = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: "#335577" } });

describe("a letter", () => {
  test("that is a picture loses place, time and camera, stands upright, and is no larger than can be read", async () => {
    const taken = await picture(3000, 1000)
      .withExif({ IFD0: { Make: "SomeCamera", Copyright: "Maren" }, IFD3: { GPSLatitude: "55/1 40/1 0/1" } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(taken).metadata()).exif?.length).toBeGreaterThan(50);
    const kept = await letterFrom(taken);
    if (!kept.ok) throw new Error(kept.problem);
    const { exif, orientation, width, height, format } = await sharp(kept.file.bytes).metadata();
    expect({ exif, orientation, width, height, format }).toEqual({
      exif: undefined,
      orientation: undefined,
      width: 800,
      height: 2400,
      format: "jpeg",
    });
    expect(kept.file.bytes.includes("SomeCamera")).toBe(false);
  });
  test("and a picture of a repetition likewise, smaller; what is none is none", async () => {
    const taken = await picture(3000, 1000)
      .withExif({ IFD3: { GPSLatitude: "55/1 40/1 0/1" } })
      .jpeg()
      .toBuffer();
    const { exif, width, format } = await sharp((await pictureFrom(taken)) ?? Buffer.from("")).metadata();
    expect({ exif, width, format }).toEqual({ exif: undefined, width: 1600, format: "jpeg" });
    expect([await pictureFrom(Buffer.from("%PDF-1.7")), await pictureFrom(Buffer.from(""))]).toEqual([null, null]);
  });
  test("of more pixels than a scanner makes is turned away by its first bytes, before anything is drawn", async () => {
    const small = await picture(40, 30).png().toBuffer();
    const huge = Buffer.from(small);
    huge.writeUInt32BE(60_000, 16); // the width that the header says
    huge.writeUInt32BE(60_000, 20);
    huge.writeUInt32BE(crc32(huge.subarray(12, 29)), 29);
    expect(await letterFrom(huge)).toEqual({ ok: false, problem: "not-a-letter" });
    const fits = Buffer.from(small);
    fits.writeUInt32BE(crc32(fits.subarray(12, 29)), 29);
    expect(fits.equals(small)).toBe(true); // or the header above was wrong for another reason
  });
  test("by many at once is drawn by all of them", async () => {
    const bytes = await picture(1200, 900).jpeg().toBuffer();
    expect((await Promise.all(Array.from({ length: 12 }, () => pictureFrom(bytes)))).filter((each) => each !== null)).toHaveLength(12);
  });
  test("is what its first bytes say: a PDF as it is, any picture as a JPEG, anything else none", async () => {
    const pdf = Buffer.from("%PDF-1.7\n1 0 obj\n");
    expect(await letterFrom(pdf)).toEqual({ ok: true, file: { mediaType: "application/pdf", bytes: pdf } });
    for (const format of ["png", "webp"] as const)
      expect(await letterFrom(await picture(40, 30).toFormat(format).toBuffer())).toMatchObject({
        ok: true,
        file: { mediaType: "image/jpeg" },
      });
    for (const bytes of [
      Buffer.from("<script>alert(1)</script>"),
      Buffer.from(""),
      Buffer.from("PK\u0003\u0004"),
      (await picture(40, 30).jpeg().toBuffer()).subarray(0, 200),
      Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><rect width="40" height="30"/></svg>`),
      Buffer.from("47494638396101000100800000000000ffffff21f90401000000002c00000000010001000002024401003b", "hex"), // a GIF
      await picture(40, 30).tiff().toBuffer(),
    ])
      expect(await letterFrom(bytes)).toEqual({ ok: false, problem: "not-a-letter" });
  });
});
