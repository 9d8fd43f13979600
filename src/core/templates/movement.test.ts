import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import { SUBJECT } from "../judge/fit.fixture";
import { startSetting } from "./form";
import { type Movement, movementOf } from "./movement";
import type { Pose } from "./pose";

const moving = (id: string): Movement => movementOf(SUBJECT, variationById(id), startSetting(SUBJECT, variationById(id)))!;
const hipM = ({ lead }: Pose): number => lead.hip[1];

describe("a repetition on its way", () => {
  test("is lowest where a squat, a hinge or a step is set, and highest where a bridge is", () => {
    const low = (pattern: string) =>
      CATALOGUE.filter((row) => row.pattern === pattern).flatMap((row) => {
        const movement = movementOf(SUBJECT, row, startSetting(SUBJECT, row));
        return movement ? [[row.code, movement.isLowAtEnd]] : [];
      });
    const [squats, hinges, steps, bridges] = ["squat", "hinge", "step", "bridge"].map(low);
    expect([squats, hinges, steps, bridges].map((all) => all?.length)).toEqual([36, 17, 27, 14]);
    expect(squats?.filter(([, isLow]) => !isLow)).toEqual([]);
    expect(hinges?.filter(([code, isLow]) => !isLow && code !== "H31")).toEqual([]); // a bridge among the hinges
    // a hold, two strides that the model has no taller pose of, and a leg held out to the side
    expect(steps?.filter(([, isLow]) => !isLow).map(([code]) => code)).toEqual(["L11", "L15", "L17", "L32"]);
    expect(bridges?.filter(([, isLow]) => isLow)).toEqual([]);
  });

  test("ends in the pose that is set, on a seat that stays where it stands", () => {
    const { end, at } = moving("raised-sit-to-stand");
    const seatOf = (pose: Pose) => pose.scene.find(({ kind }) => kind === "seat");
    expect(seatOf(end)).toBeDefined();
    expect(seatOf(at(0.5))).toEqual(seatOf(end));
    expect(hipM(at(0.5))).toBeGreaterThan(hipM(end) + 0.05);
    expect(at(1).lead).toEqual(end.lead);
  });

  test("brings the other foot up while the one on the step straightens", () => {
    const { end, at } = moving("step-up-rail");
    expect(hipM(at(0))).toBeGreaterThan(hipM(end) + 0.03);
    expect(at(0).trail!.ankle[1]).toBeGreaterThan(end.trail!.ankle[1] + 0.05);
  });
});
