import { describe, expect, test } from "vitest";
import { CHANNELS, type ChannelId, leastTrust, type NumberChannelId, otherSide, refusalOf, type Trust, trustUnder } from "./channels";

const NUMBERS = (Object.keys(CHANNELS) as ChannelId[]).filter((id): id is NumberChannelId => CHANNELS[id].reads !== "rank");
const ORDER: readonly Trust[] = ["A", "A-", "B", "C"];

describe("channels", () => {
  test("that only rank have names for their places and no unit; the others have a unit and an order of what is usual", () => {
    for (const channel of Object.values(CHANNELS)) {
      if (channel.reads === "rank") {
        expect(channel.ranks.length).toBeGreaterThan(2);
        expect(channel).not.toHaveProperty("unit");
        expect(channel.bestTrust).toBe("C");
      } else if (channel.typical) expect(channel.typical.p5).toBeLessThan(channel.typical.p95);
    }
  });
  test("that only compare are never better than an estimate", () => {
    for (const id of NUMBERS) if (CHANNELS[id].reads === "comparison") expect(["B", "C"]).toContain(CHANNELS[id].bestTrust);
  });
});

describe("trust", () => {
  test("is never better than the channel's own, nor than its forces' where it hangs on them", () => {
    for (const id of NUMBERS)
      for (const forces of ORDER) {
        const trust = trustUnder(id, forces);
        expect(ORDER.indexOf(trust)).toBeGreaterThanOrEqual(ORDER.indexOf(CHANNELS[id].bestTrust));
        if (CHANNELS[id].unit === "Nm" || CHANNELS[id].unit === "MPa") expect(trust).toBe(leastTrust(CHANNELS[id].bestTrust, forces));
      }
  });
  test("leaves geometry and what is simply held alone", () => {
    expect(trustUnder("kneeFlexion", "C")).toBe("A");
    expect(trustUnder("handWeight", "C")).toBe("A");
    expect(trustUnder("lyingTime", "B")).toBe("A");
  });
  test("makes angles estimates, not guesses, where only forces are rough", () => expect(trustUnder("hipFlexion", "C")).toBe("B"));
  test("is the back's own where only the feet brace", () => {
    const braced = { legs: "C", back: "B" } as const;
    expect(trustUnder("kneeMoment", braced)).toBe("C");
    expect(trustUnder("lowBackCompression", braced)).toBe("B");
    expect(trustUnder("lowBackShear", braced)).toBe("C");
  });
});

test("a kneecap is refused just past 90 degrees, knee contact just under 20", () => {
  expect([90, 90.01].map((deg) => refusalOf("kneecapStress", deg))).toEqual([null, "kneecap-past-90"]);
  expect([20, 19.99].map((deg) => refusalOf("kneeContact", deg))).toEqual([null, "knee-near-straight"]);
  expect(refusalOf("kneeMoment", 120)).toBeNull();
});

test("sides are each other's other", () => expect([otherSide("left"), otherSide("right")]).toEqual(["right", "left"]));
