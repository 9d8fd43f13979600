import { afterEach, describe, expect, test, vi } from "vitest";
import { scaleLine, type ScaleReading, shareSummary } from "../../core/assess/scales";
import { type PortLike, pretendedScales, readingsFrom, serialDriver, standInDriver } from "./driver";

/** A port that gives bytes in the pieces a cable gives them in. */
function fakePort(): PortLike & { give: (text: string) => void; pull: () => void; opened: number[]; closed: number } {
  let controller: ReadableStreamDefaultController<Uint8Array> | null = null;
  const readable = new ReadableStream<Uint8Array>({
    start: (made) => {
      controller = made;
    },
  });
  const port = {
    readable,
    opened: [] as number[],
    closed: 0,
    open: ({ baudRate }: { baudRate: number }) => {
      port.opened.push(baudRate);
      return Promise.resolve();
    },
    close: () => {
      port.closed++;
      return Promise.resolve();
    },
    give: (text: string) => controller?.enqueue(new TextEncoder().encode(text)),
    pull: () => controller?.error(new Error("the device has been lost")),
  };
  return port;
}
const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 5));

describe("scales on a serial port", () => {
  test("are read line by line, however the cable cuts them, whatever ends a line", async () => {
    const port = fakePort();
    const readings: ScaleReading[] = [];
    const lost = vi.fn();
    const { close } = await serialDriver(port).open(
      readingsFrom(
        scaleLine,
        (reading) => readings.push(reading),
        () => 1,
      ),
      lost,
    );
    for (const piece of ["36.", "4;37", ".9\r\n30.0;4", "0.0\nE3\n;4", "1.2\r35;35\r"]) port.give(piece);
    await settled();
    expect(readings).toEqual([
      { atS: 1, leftKg: 36.4, rightKg: 37.9 },
      { atS: 1, leftKg: 30, rightKg: 40 },
      { atS: 1, leftKg: null, rightKg: 41.2 },
      { atS: 1, leftKg: 35, rightKg: 35 },
    ]);
    await close();
    expect([port.opened, port.closed, lost.mock.calls.length]).toEqual([[9600], 1, 0]); // ended by us is not lost
  });
  test("that are pulled out say so once, and a line without end is dropped", async () => {
    const port = fakePort();
    const lines: string[] = [];
    const lost = vi.fn();
    await serialDriver(port).open((line) => lines.push(line), lost);
    port.give("9".repeat(500));
    await settled();
    port.give("\n36;37\n");
    await settled();
    expect(lines.filter((line) => line !== "")).toEqual(["36;37"]);
    port.pull();
    await settled();
    expect(lost).toHaveBeenCalledTimes(1);
  });
});

describe("the stand-in", () => {
  afterEach(() => void vi.useRealTimers());
  test("pretends what it is set to, while it is being changed, and stops when it is closed", async () => {
    vi.useFakeTimers();
    let guarded: "left" | "right" = "right";
    const readings: ScaleReading[] = [];
    const driver = standInDriver(pretendedScales(() => ({ massKg: 70, guarded, sparedBy: 0.1, noiseKg: 0.5, dropPercent: 10 })));
    const { close } = await driver.open(
      readingsFrom(
        scaleLine,
        (reading) => readings.push(reading),
        () => 0,
      ),
      () => undefined,
    );
    vi.advanceTimersByTime(8000);
    expect(shareSummary(readings)?.guarded).toBe("right");
    guarded = "left";
    readings.length = 0;
    vi.advanceTimersByTime(8000);
    expect(shareSummary(readings)?.guarded).toBe("left");
    await close();
    readings.length = 0;
    vi.advanceTimersByTime(2000);
    expect(readings).toEqual([]);
  });
});
