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
    ])
      expect(await letterFrom(bytes)).toEqual({ ok: false, problem: "not-a-letter" });
  });
});
