import "fake-indexeddb/auto";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import type { Answer, Entry, Kept } from "./entry";
import { Outbox } from "./outbox";
import { PhoneOutbox } from "./phone/phone-outbox";
import { type PhoneEntry, PhoneStore } from "./phone/phone-store";

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
let made = 0;
const entry = (sequence: number): PhoneEntry => ({
  id: `entry ${made++}`,
  at: new Date().toISOString(),
  told: { kind: "task", task: "walk", level: 1 },
  sequence,
});

/** The studio: takes what comes, now and then only half of it, or gives no answer. */
class Studio {
  readonly received = new Set<string>();
  readonly refuses = new Set<string>();
  answers = (): boolean => true;
  delayMs = (): number => 0;
  send = async (entries: readonly Entry[]): Promise<Answer> => {
    await pause(this.delayMs());
    if (!this.answers()) return { kind: "no-answer" };
    const refused = entries.filter(({ id }) => this.refuses.has(id)).map(({ id }) => ({ id, code: "bad-input" }));
    const received = entries.map(({ id }) => id).filter((id) => !this.refuses.has(id));
    received.forEach((id) => this.received.add(id));
    return { kind: "verdict", verdict: { received, refused } };
  };
}
/** A store whose looks take their time after they were taken: what they show is of before. */
class SlowStore extends PhoneStore {
  lookMs = (): number => 0;
  override async unsent(): Promise<Kept<PhoneEntry>[]> {
    const found = await super.unsent();
    await pause(this.lookMs());
    return found;
  }
}
class Tab extends Outbox<PhoneEntry> {
  tap = (): string => this.add(entry).id;
}

beforeEach(() => {
  const nothing = (): void => undefined;
  vi.stubGlobal("addEventListener", nothing);
  vi.stubGlobal("document", { addEventListener: nothing, visibilityState: "visible" });
  vi.stubGlobal("navigator", {});
  const texts = new Map<string, string>();
  vi.stubGlobal("localStorage", {
    getItem: (key: string) => texts.get(key) ?? null,
    setItem: (key: string, text: string) => void texts.set(key, text),
    removeItem: (key: string) => void texts.delete(key),
  });
});
afterEach(() => vi.unstubAllGlobals());

describe("the way to the studio", () => {
  test("a tap kept while the store is looked at stays, and goes out", async () => {
    const [studio, store] = [new Studio(), new SlowStore(`race ${made++}`, [])];
    const tab = new Tab({ name: `race ${made}`, store, send: studio.send });
    await vi.waitFor(() => expect(tab.snapshot().isReady).toBe(true));
    store.lookMs = () => 60;
    studio.answers = () => false; // so that memory alone remembers
    const waiting: number[] = [];
    tab.subscribe(() => waiting.push(tab.snapshot().waiting));
    const other = new BroadcastChannel(`race ${made} told`);
    for (let i = 0; i < 12; i++) {
      other.postMessage("appended"); // another tab has written: this one looks
      await pause(5 + (i % 4) * 8);
      tab.tap();
    }
    await pause(200);
    expect(tab.snapshot().waiting).toBe(12);
    expect(waiting).toEqual(waiting.toSorted((a, b) => a - b)); // at no moment was one less
    studio.answers = () => true;
    tab.wake();
    await vi.waitFor(() => expect(studio.received.size).toBe(12), 4000);
    expect(await tab.leave()).toBe(true);
    other.close();
  });

  test("what the studio has taken meanwhile is not waiting again", async () => {
    const [studio, store] = [new Studio(), new SlowStore(`settled ${made++}`, [])];
    const tab = new Tab({ name: `settled ${made}`, store, send: studio.send });
    await vi.waitFor(() => expect(tab.snapshot().isReady).toBe(true));
    const other = new BroadcastChannel(`settled ${made} told`);
    store.lookMs = () => 30;
    studio.delayMs = () => 10;
    for (let i = 0; i < 8; i++) {
      tab.tap();
      await pause(15);
      other.postMessage("settled");
      await pause(20);
    }
    await vi.waitFor(() => expect(tab.snapshot()).toMatchObject({ waiting: 0, atRisk: 0, outcome: "all-sent" }), 4000);
    await pause(150);
    expect(tab.snapshot()).toMatchObject({ waiting: 0, outcome: "all-sent" });
    await tab.leave();
    other.close();
  });

  test("two tabs of one person lose nothing, whatever comes between", async () => {
    let seed = 7;
    const chance = (): number => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
    const studio = new Studio();
    studio.answers = () => chance() > 0.3;
    studio.delayMs = () => chance() * 12;
    const tabs = [0, 1].map(() => {
      const store = new SlowStore("two tabs", []);
      store.lookMs = () => chance() * 12;
      return new Tab({ name: "two tabs", store, send: studio.send });
    });
    const tapped: string[] = [];
    for (let i = 0; i < 72; i++) {
      tapped.push(tabs[i % 2]!.tap());
      await pause(chance() * 10);
    }
    studio.answers = () => true;
    tabs.forEach((tab) => tab.wake());
    await vi.waitFor(() => expect(tapped.filter((id) => !studio.received.has(id))).toEqual([]), 15_000);
    await vi.waitFor(() => tabs.forEach((tab) => expect(tab.snapshot().waiting).toBe(0)), 8000);
    for (const tab of tabs) await tab.leave();
  });

  test("what is refused holds up nothing, stays, and waits again when asked", async () => {
    const [studio, store] = [new Studio(), new PhoneStore(`refused ${made++}`, [])];
    const tab = new Tab({ name: `refused ${made}`, store, send: studio.send });
    const bad = tab.tap();
    studio.refuses.add(bad);
    const good = tab.tap();
    await vi.waitFor(() => expect(studio.received.has(good)).toBe(true));
    await vi.waitFor(() => expect(tab.snapshot().refused.map(({ event, refusal }) => [event.id, refusal])).toEqual([[bad, "bad-input"]]));
    studio.refuses.clear();
    await tab.sendRefusedAgain();
    await vi.waitFor(() => expect(studio.received.has(bad)).toBe(true));
    await tab.leave();
  });

  test("a store that takes nothing: said so, sent all the same, and not left before", async () => {
    const [studio, store] = [new Studio(), new PhoneStore(`full ${made++}`, [])];
    const put = vi.spyOn(store, "put").mockRejectedValue(new Error("full"));
    studio.answers = () => false;
    const tab = new Tab({ name: `full ${made}`, store, send: studio.send });
    tab.tap();
    await vi.waitFor(() => expect(tab.snapshot()).toMatchObject({ canKeep: false, atRisk: 1, waiting: 1 }));
    expect(await tab.leave()).toBe(false);
    put.mockRestore();
    expect(await tab.leave()).toBe(true);
  });
});

describe("a client's phone", () => {
  const answering = (status: number, body: object) =>
    vi.fn(async (_: string, { body: sent }: { body: string }) => {
      const { entries } = JSON.parse(sent) as { entries: { id: string }[] };
      const received = status === 200 ? { received: entries.map(({ id }) => id), refused: [] } : {};
      return Response.json({ ...received, ...body }, { status });
    });

  test("a link that ended is asked no further, and what was unsent goes by the next one", async () => {
    const own = `own ${made++}`;
    const ended = answering(404, { code: "link-ended" });
    vi.stubGlobal("fetch", ended);
    const phone = new PhoneOutbox("old", own, "hash");
    phone.tell({ kind: "task", task: "stairs", level: 2 });
    await vi.waitFor(() => expect(phone.snapshot()).toMatchObject({ outcome: "ended", waiting: 1 }));
    const asked = ended.mock.calls.length;
    await pause(1300); // longer than the first pause between two tries
    expect(ended.mock.calls.length).toBe(asked);
    await phone.leave();
    vi.stubGlobal("fetch", answering(200, {}));
    const next = new PhoneOutbox("new", own, "another hash");
    await vi.waitFor(() => expect(next.snapshot()).toMatchObject({ waiting: 0, outcome: "all-sent", isReady: true }));
    await vi.waitFor(() =>
      expect(next.entries().map(({ state, event }) => [state, event.told])).toEqual([["sent", { kind: "task", task: "stairs", level: 2 }]]),
    );
    await next.leave();
  });

  test("what an older build kept as text is taken over, once, and nothing of it lost", async () => {
    const own = `own ${made++}`;
    const older = (id: string, more: object) => ({
      id,
      at: new Date().toISOString(),
      told: { kind: "sign", sign: "faint" },
      isSent: false,
      refused: null,
      ...more,
    });
    localStorage.setItem(
      `ponderis-home-${own}`,
      JSON.stringify([older("a", {}), older("b", { isSent: true }), older("c", { refused: "bad-input" })]),
    );
    localStorage.setItem("ponderis-home-0123456789abcdef", JSON.stringify([older("d", {})]));
    const fetched = answering(200, {});
    vi.stubGlobal("fetch", fetched);
    const phone = new PhoneOutbox("token", own, "0123456789abcdef and more");
    await vi.waitFor(() => expect(phone.snapshot()).toMatchObject({ isReady: true, waiting: 0 }));
    expect(
      fetched.mock.calls.flatMap(([, { body }]) => (JSON.parse(body) as { entries: { id: string }[] }).entries.map(({ id }) => id)),
    ).toEqual(["a", "d"]);
    expect(phone.snapshot().refused.map(({ event }) => event.id)).toEqual(["c"]);
    expect(localStorage.getItem(`ponderis-home-${own}`)).toBeNull();
    await phone.leave();
  });
});
