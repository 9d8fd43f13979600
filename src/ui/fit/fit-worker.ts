"use client";
import { type Remote, wrap } from "comlink";
import type { FitWork } from "../../workers/fit.worker";

/** The one worker of this tab, started with the first question and kept: every answer after it comes at once. */
let started: { work: Remote<FitWork>; failed: Promise<never> } | null = null;

function start(): NonNullable<typeof started> {
  const worker = new Worker(new URL("../../workers/fit.worker.ts", import.meta.url), { type: "module" });
  const failed = new Promise<never>((_, reject) => {
    const fail = (): void => {
      started = null; // the next question starts another
      reject(new Error("the fit worker failed"));
    };
    worker.addEventListener("error", fail);
    worker.addEventListener("messageerror", fail);
  });
  failed.catch(() => undefined);
  return { work: wrap<FitWork>(worker), failed };
}

/** Asks the worker; rejects when it could not be started or died on the way. */
export function askWorker<T>(question: (work: Remote<FitWork>) => Promise<T>): Promise<T> {
  started ??= start();
  return Promise.race([question(started.work), started.failed]);
}
