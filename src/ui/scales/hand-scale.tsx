"use client";
import { useRef, useState } from "react";
import { handLine, handStandInText, steadyKg } from "../../core/assess/scales";
import { kgFromLb, lbFromKg, type UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { Notice, Row, Soft, Stack } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { massText } from "../../words/basics/quantity";
import { standInDriver } from "./driver";
import { ScaleButtons } from "./scale-buttons";
import { useScales } from "./use-scales";

/** A hand scale in the pole, the strap or the band: what it reads while it is held steady is taken for the lever. */
export function HandScale({ units, onTake }: { units: UnitSystem; onTake: (kg: number) => void }) {
  const scales = useScales(handLine);
  const { state, readings, isStandIn, stop } = scales;
  const [pretendedKg, setPretendedKg] = useState(8);
  const pretended = useRef(pretendedKg);
  const pretend = (kg: number): void => {
    pretended.current = kg;
    setPretendedKg(kg);
  };
  const [now, steady] = [readings.at(-1)?.kg, steadyKg(readings)];
  return (
    <Stack>
      <p>Hang the scale between the hand and the pole, strap or band. Press or pull before the movement starts, and hold.</p>
      <Row>
        <ScaleButtons
          scales={scales}
          cable="Scale by cable"
          standIn={() => standInDriver((atS, chance) => handStandInText(pretended.current, atS, chance))}
        />
      </Row>
      {scales.lacksCable && <Notice>This browser reads no cable. Read the scale and move the slider.</Notice>}
      {state === "lost" && <Notice $tone="oxide">The scale fell silent: the cable, or its power.</Notice>}
      {state === "refused" && <Notice $tone="oxide">The scale could not be opened: perhaps another page is listening to it.</Notice>}
      {isStandIn && state === "listening" && (
        <NumberField
          label="It pretends a hand that holds"
          unit={units === "metric" ? "kg" : "lb"}
          minValue={0}
          maxValue={units === "metric" ? 60 : 130}
          value={Math.round(units === "metric" ? pretendedKg : lbFromKg(pretendedKg))}
          onChange={(value) => pretend(units === "metric" ? value : kgFromLb(value))}
        />
      )}
      {now !== undefined && (
        <p role="status">
          <strong style={{ fontSize: 22 }}>{massText(steady ?? now, units)}</strong>{" "}
          <Soft>{steady === null ? "not steady yet" : "held steady"}</Soft>
        </p>
      )}
      {steady !== null && (
        <Button
          $tone="primary"
          style={{ alignSelf: "start" }}
          onPress={() => {
            stop();
            onTake(steady);
          }}
        >
          Take {massText(steady, units)}
        </Button>
      )}
    </Stack>
  );
}
