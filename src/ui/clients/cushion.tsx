"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { addCushionAction } from "../../actions/equipment";
import { CUSHION_LIMITS_M } from "../../core/kit/kit";
import { CUSHION_M } from "../../core/templates/lever";
import type { UnitSystem } from "../../core/units";
import { Button, TextButton } from "../kit/button";
import { NumberField } from "../kit/number-field";
import { Soft, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { lengthField } from "../kit/unit-field";
import { useStep } from "../kit/use-step";
import { Ask } from "../kit/why";
import { thicknessText } from "../../words/basics/quantity";

const FINELY = { metricCm: 0.5, imperialIn: 0.25 };

function CushionForm({ units, onDone }: { units: UnitSystem; onDone: () => void }) {
  const [thicknessM, setThicknessM] = useState(NaN);
  const { take, isTaking, problem } = useStep();
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        take((stepId) => addCushionAction({ thicknessM }, stepId), onDone);
      }}
    >
      <Stack>
        <p>
          Somebody sits: measure from the floor to where they sit, then again with one cushion more under them. The difference is what a
          cushion is worth, pressed down as it is in use. Easing a seat raises it by at least one.
        </p>
        <NumberField label="One cushion, sat on" isRequired {...lengthField(units, thicknessM, CUSHION_LIMITS_M, FINELY, setThicknessM)} />
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking}>
          Keep this thickness
        </Button>
      </Stack>
    </Form>
  );
}

/** How much higher one of the studio's cushions makes a seat, and a form to measure it. */
export function Cushion({ cushionM, units }: { cushionM: number | null; units: UnitSystem }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Soft>
      One cushion raises a seat by {thicknessText(cushionM ?? CUSHION_M, units)}, {cushionM === null ? "our guess" : "as measured here"}{" "}
      <TextButton onPress={() => setOpen(true)}>{cushionM === null ? "measure it" : "measure again"}</TextButton>
      <Ask title="Measure a cushion" isOpen={isOpen} onClose={() => setOpen(false)}>
        <CushionForm units={units} onDone={() => setOpen(false)} />
      </Ask>
    </Soft>
  );
}
