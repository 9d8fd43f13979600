import { expect, test } from "vitest";
import { comesFirst, nextItem, type OrderedItem, restAfterS, turnsOf } from "./order";

const item = (itemId: string, setCount = 2, more: Partial<OrderedItem> = {}): OrderedItem => ({
  itemId,
  setCount,
  restS: 60,
  inTurn: false,
  dropCount: 0,
  ...more,
});
const told = (done: string, more: { stopped?: string[]; skipped?: string[] } = {}) => ({
  sets: [...done].map((itemId, order) => ({ itemId, order })) as never,
  stoppedItemIds: more.stopped ?? [],
  skippedItemIds: more.skipped ?? [],
});
/** Who is next after each set, all the way. */
function run(items: readonly OrderedItem[], more: Parameters<typeof told>[1] = {}): [order: string, rests: number[]] {
  let done = "";
  const rests: number[] = [];
  for (let next = nextItem(items, told("", more)); next; next = nextItem(items, told(done, more))) {
    done += next.itemId;
    rests.push(restAfterS(items, told(done, more)));
  }
  return [done, rests];
}

test("goes through one exercise after the other, with its own rest", () =>
  expect(run([item("a", 3), item("b", 2, { restS: 90 })])).toEqual(["aaabb", [60, 60, 60, 90, 90]]));

test("takes turns set by set, and rests after the round, as long as its longest", () => {
  const pair = [item("a", 2, { inTurn: true }), item("b", 2, { restS: 90 })];
  expect(turnsOf([...pair, item("c")]).map((turn) => turn.length)).toEqual([2, 1]);
  expect(run([...pair, item("c", 1)])).toEqual(["ababc", [0, 90, 0, 90, 60]]);
  expect(run([item("w", 3, { inTurn: true }), item("s", 2)])[0]).toBe("wswsw"); // one more set on the weak side
});

test("goes round a circuit of four, a shorter one leaving it early", () => {
  const circuit = [item("a", 3, { inTurn: true }), item("b", 2, { inTurn: true }), item("c", 3, { inTurn: true }), item("d", 3)];
  expect(run(circuit)).toEqual(["abcdabcdacd", [0, 0, 0, 60, 0, 0, 0, 60, 0, 0, 60]]);
});

test("drops at once, before anything else has its turn, and rests after the last of them", () => {
  expect(run([item("a", 4, { dropCount: 2 })])).toEqual(["aaaa", [60, 0, 0, 60]]);
  expect(run([item("a", 3, { dropCount: 2, inTurn: true }), item("b", 2)])[0]).toBe("aaabb");
  // stopped between two drops, it is stopped
  expect(nextItem([item("a", 3, { dropCount: 2 }), item("b", 1)], told("aa", { stopped: ["a"] }))?.itemId).toBe("b");
});

test("finishes what was begun out of its order before it goes back", () => {
  const items = [item("a", 1), item("b", 2, { inTurn: true }), item("c", 2)];
  expect(nextItem(items, told("b"))?.itemId).toBe("c");
  expect(nextItem(items, told("bcb"))?.itemId).toBe("c");
  expect(nextItem(items, told("bcbc"))?.itemId).toBe("a");
});

test("leaves out what is stopped or skipped, and nobody waits for it", () => {
  const items = [item("a", 2, { inTurn: true }), item("b"), item("c")];
  expect(run(items, { skipped: ["b"] })).toEqual(["aacc", [60, 60, 60, 60]]);
  expect(run(items, { stopped: ["a", "c"] })[0]).toBe("bb");
  expect(nextItem(items, told("aabbcc"))).toBeNull();
  expect(restAfterS(items, told(""))).toBe(0);
});

test("the weak side of the same exercise comes first, as long as it has sets left and is no further", () => {
  const sided = (itemId: string, side: "left" | "right", variationId = "lunge") => ({ itemId, side, variationId });
  const [left, right, other] = [sided("l", "left"), sided("r", "right"), sided("o", "right", "hinge")];
  const order = [item("l", 2, { inTurn: true }), item("r"), item("o")];
  const first = (of: typeof left, done: string, weakSide: "left" | "right" | "both" | null = "left", more = {}) =>
    comesFirst(of, [left, right, other], order, told(done, more), weakSide)?.itemId ?? null;
  expect([first(right, ""), first(right, "l"), first(right, "lr"), first(right, "lrl")]).toEqual(["l", null, "l", null]);
  expect([first(left, ""), first(other, ""), first(right, "", "both"), first(right, "", null)]).toEqual([null, null, null, null]);
  expect([first(right, "", "left", { stopped: ["l"] }), first(right, "llr")]).toEqual([null, null]);
});
