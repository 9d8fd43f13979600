import "server-only";
import { Worker } from "node:worker_threads";
import type { Paper } from "./paper";

/** What was asked of the thread and is not back yet, by its number. */
type Waiting = Map<number, { resolve: (bytes: Uint8Array | null) => void; reject: (error: Error) => void }>;
interface Answer {
  id: number;
  bytes?: Uint8Array | null;
  error?: string;
}
let thread: { worker: Worker; waiting: Waiting } | null = null;
let asked = 0;

/** One thread for all papers (comlink would leave waiting who asked a thread that was lost), one after another; begun with the first, and anew after one that was lost. */
function papersThread(): NonNullable<typeof thread> {
  if (thread) return thread;
  const begun = { worker: new Worker(new URL("./papers.thread.ts", import.meta.url)), waiting: new Map() as Waiting };
  const lose = (error: Error): void => {
    if (thread === begun) thread = null;
    for (const { reject } of begun.waiting.values()) reject(error);
    begun.waiting.clear();
  };
  begun.worker.on("message", ({ id, bytes = null, error }: Answer) => {
    const asker = begun.waiting.get(id);
    begun.waiting.delete(id);
    if (error === undefined) asker?.resolve(bytes);
    else asker?.reject(new Error(error));
  });
  begun.worker.on("error", lose);
  begun.worker.on("exit", () => lose(new Error("the thread that draws papers ended")));
  begun.worker.unref(); // a server that stops waits for none
  thread = begun;
  return begun;
}

/** A paper as PDF, drawn beside everything else; null where there is nothing to draw. */
export const drawPaper = (paper: Paper): Promise<Uint8Array<ArrayBuffer> | null> =>
  new Promise((resolve, reject) => {
    const { worker, waiting } = papersThread();
    const id = asked++;
    waiting.set(id, { resolve: (bytes) => resolve(bytes && new Uint8Array(bytes)), reject });
    worker.postMessage({ id, paper });
  });
