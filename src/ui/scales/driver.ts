import { uniformInt } from "pure-rand/distribution/uniformInt";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { scaleText, type StandIn, standInReading } from "../../core/assess/scales";

/** Where weights come from, line by line. `close` ends it; `onLost` is told when it ended by itself. */
export interface ScaleDriver {
  open: (onLine: (line: string) => void, onLost: () => void) => Promise<{ close: () => Promise<void> }>;
}

/** As much of a serial port as is needed, so that a test can stand in for one. */
export interface PortLike {
  open: (options: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
}
const BAUD_RATE = 9600;
/** More than this without an end of line is no line: dropped, so that a torn cable does not fill the tablet. */
const LONGEST_LINE = 200;

/** Two scales on a serial port: lines as core/assess/scales says, at 9600 baud. */
export const serialDriver = (port: PortLike): ScaleDriver => ({
  open: async (onLine, onLost) => {
    await port.open({ baudRate: BAUD_RATE });
    const reader = port.readable?.getReader();
    if (!reader) throw new Error("the port cannot be read");
    let isClosed = false;
    const read = async (): Promise<void> => {
      const decoder = new TextDecoder();
      let rest = "";
      for (;;) {
        const { done, value } = await reader.read();
        if (done) return;
        const lines = (rest + decoder.decode(value, { stream: true })).split(/\r\n|\n|\r/);
        rest = lines.pop() ?? "";
        if (rest.length > LONGEST_LINE) rest = "";
        lines.forEach(onLine);
      }
    };
    void read()
      .catch(() => undefined) // a cable that is pulled ends like one that falls silent
      .then(() => {
        if (!isClosed) onLost();
      });
    return {
      close: async () => {
        isClosed = true;
        await reader.cancel().catch(() => undefined);
        reader.releaseLock();
        await port.close();
      },
    };
  },
});

const EVERY_MS = 100;
type LineAt = (atS: number, chance: () => number) => string;
/** A stand-in that says a line every tenth of a second: for trying, and for showing. */
export const standInDriver = (lineAt: LineAt, seed = 1): ScaleDriver => ({
  open: (onLine) => {
    const generator = xoroshiro128plus(seed);
    const chance = (): number => uniformInt(generator, 0, 99);
    let count = 0;
    const timer = setInterval(() => onLine(lineAt((count++ * EVERY_MS) / 1000, chance)), EVERY_MS);
    return Promise.resolve({
      close: () => {
        clearInterval(timer);
        return Promise.resolve();
      },
    });
  },
});
/** Two scales that pretend to carry a client. */
export const pretendedScales =
  (standIn: () => StandIn): LineAt =>
  (atS, chance) =>
    scaleText(standInReading(standIn(), atS, chance));

/** Readings from a driver's lines; what is no reading is passed over. */
export function readingsFrom<T extends object>(
  parse: (line: string) => T | null,
  onReading: (reading: T & { atS: number }) => void,
  nowS: () => number,
): (line: string) => void {
  return (line) => {
    const reading = parse(line);
    if (reading) onReading({ ...reading, atS: nowS() });
  };
}

interface Serial {
  requestPort: () => Promise<PortLike>;
}
/** Cables are read by some browsers only. */
export const serialOf = (): Serial | null =>
  typeof navigator === "undefined" ? null : ((navigator as { serial?: Serial }).serial ?? null);
