"use client";
import { useState } from "react";
import { cushionsFor, seatAtKneeM } from "../../core/templates/seat";
import type { Subject } from "../../core/templates/template";
import type { UnitSystem } from "../../core/units";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { angleText, lengthText, thicknessText } from "../../words/basics/quantity";
import { seatWords } from "./calm-ladder";
import { quantityEdge } from "./quantity-edge";

const PLAIN_CHAIR_M = 0.45;
const KNEE_LIMITS_DEG = { min: 20, max: 120 };
const CHAIR_LIMITS_M = { min: 0.25, max: 0.8 };

export interface Chair {
  name: string;
  heightM: number;
}

/** Which bend a chair gives on these legs, and how many cushions give the bend that is wanted. */
export function SeatCard({
  subject,
  cushionM,
  chairs,
  units,
}: {
  subject: Subject;
  cushionM: number;
  chairs: readonly Chair[];
  units: UnitSystem;
}) {
  const [chairM, setChairM] = useState(PLAIN_CHAIR_M);
  const [kneeDeg, setKneeDeg] = useState(80);
  const edge = quantityEdge("metres", units);
  const isAsked = Number.isFinite(chairM) && kneeDeg >= KNEE_LIMITS_DEG.min && kneeDeg <= KNEE_LIMITS_DEG.max;
  const wantedM = isAsked ? seatAtKneeM(subject, kneeDeg) : NaN;
  const count = cushionsFor(chairM, cushionM, wantedM);
  return (
    <Card aria-label="Seat arithmetic">
      <Title>Chair and cushions</Title>
      <Stack $gap={8}>
        <Row $gap={18} style={{ alignItems: "start" }}>
          <NumberField
            label="Chair"
            unit={edge.unit}
            step={edge.step}
            minValue={edge.round(edge.fromSi(CHAIR_LIMITS_M.min))}
            maxValue={edge.round(edge.fromSi(CHAIR_LIMITS_M.max))}
            value={edge.round(edge.fromSi(chairM))}
            onChange={(typed) => setChairM(edge.toSi(typed))}
          />
          <NumberField
            label="Knee wanted"
            unit="degrees"
            minValue={KNEE_LIMITS_DEG.min}
            maxValue={KNEE_LIMITS_DEG.max}
            value={kneeDeg}
            onChange={setKneeDeg}
          />
        </Row>
        {isAsked && (
          <p aria-live="polite">
            On {lengthText(chairM, units)}: {seatWords(subject, chairM)}. For {angleText(kneeDeg)}: a seat of {lengthText(wantedM, units)},{" "}
            <strong>{count === 0 ? "no cushion" : count === 1 ? "one cushion" : `${count} cushions`}</strong> of{" "}
            {thicknessText(cushionM, units)}
            {count > 0 && `, ${lengthText(chairM + count * cushionM, units)}`}.
          </p>
        )}
        {chairs.length > 0 && (
          <ul>
            {chairs.map(({ name, heightM }) => (
              <li key={name}>
                {name}, {lengthText(heightM, units)}: <Soft>{seatWords(subject, heightM)}</Soft>
              </li>
            ))}
          </ul>
        )}
      </Stack>
    </Card>
  );
}
