"use client";
import { type DBSchema, type IDBPDatabase, openDB, type OpenDBCallbacks } from "idb";

const PATIENCE_MS = 3000;

function within<T>(work: Promise<T>): Promise<T> {
  return Promise.race([
    work,
    new Promise<never>((_, fail) => {
      setTimeout(() => fail(new Error("this device's store does not answer")), PATIENCE_MS);
    }),
  ]);
}

/** A database of this device. Every call may fail: blocked, denied, full, silent, or closed under our feet; the next opens it anew. */
export class OwnDatabase<S extends DBSchema> {
  private opened: Promise<IDBPDatabase<S>> | null = null;

  constructor(
    private readonly name: string,
    private readonly version: number,
    private readonly upgrade: NonNullable<OpenDBCallbacks<S>["upgrade"]>,
  ) {}

  private open(): Promise<IDBPDatabase<S>> {
    const forget = (): void => {
      this.opened = null;
    };
    this.opened ??= within(openDB<S>(this.name, this.version, { upgrade: this.upgrade, terminated: forget, blocking: forget }));
    return this.opened;
  }

  /** Runs one piece of work on the open database. */
  async with<T>(work: (db: IDBPDatabase<S>) => Promise<T>): Promise<T> {
    try {
      return await within(this.open().then(work));
    } catch (error) {
      const failed = this.opened;
      this.opened = null;
      failed?.then(
        (db) => db.close(),
        () => undefined,
      );
      throw error;
    }
  }
}
