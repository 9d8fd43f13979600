import { expect, test } from "vitest";
import { itemName, itemNameAmong } from "./item";

const STRAIGHTENING = "supported-straightening";
const CHAIR = "raised-sit-to-stand";

test("where the model sees no sides, the side is said as soon as both are in one session", () => {
  const [left, right] = [
    { variationId: STRAIGHTENING, side: "left" },
    { variationId: STRAIGHTENING, side: "right" },
  ] as const;
  const chair = { variationId: CHAIR, side: "right" } as const;
  expect(itemNameAmong(left, [left, right, chair])).toBe(`${itemName(left)}, left`);
  expect(itemNameAmong(right, [left, right, chair])).toBe(`${itemName(right)}, right`);
  expect(itemNameAmong(left, [left, chair])).toBe(itemName(left));
  expect(itemNameAmong(chair, [left, right, chair])).toBe(itemName(chair));
});
