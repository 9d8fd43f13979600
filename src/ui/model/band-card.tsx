"use client";
import dynamic from "next/dynamic";
import { memo, useState } from "react";
import { Form } from "react-aria-components";
import { addBandAction } from "../../actions/equipment";
import { BAND_LIMITS, type MeasuredBand } from "../../core/mechanics/band";
import { kgFromLb, lbFromKg, nFromKgf, type UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { SelectField, TextField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Row, Soft, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { BY_RULE, lengthField } from "../kit/unit-field";
import { useStep } from "../kit/use-step";
import { Ask } from "../kit/why";
import { handText, lengthText } from "../../words/basics/quantity";

const BandCurve = dynamic(() => import("./band-curve"), { ssr: false, loading: () => <div style={{ height: 120 }} /> });
const NONE = "none measured";

interface Draft {
  lengthM: number;
  pullKg: number;
}

function BandForm({ units, onDone }: { units: UnitSystem; onDone: (name: string) => void }) {
  const [name, setName] = useState("");
  const [restM, setRestM] = useState(0.9);
  const [points, setPoints] = useState<Draft[]>([
    { lengthM: 1.2, pullKg: 5 },
    { lengthM: 1.5, pullKg: 9 },
  ]);
  const { take, isTaking, problem } = useStep();
  const isMetric = units === "metric";
  const set = (i: number, part: Partial<Draft>): void =>
    setPoints((all) => all.map((point, k) => (k === i ? { ...point, ...part } : point)));
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        const band = { name, restM, points: points.map(({ lengthM, pullKg }) => ({ lengthM, tensionN: nFromKgf(pullKg) })) };
        take(
          (stepId) => addBandAction(band, stepId),
          () => onDone(name.trim()),
        );
      }}
    >
      <Stack>
        <p>
          Hang the hand scale in the band and pull it to two or three lengths, the longest first to be used. No colours: wear changes them.
        </p>
        <TextField label="What it is called here" isRequired value={name} onChange={setName} />
        <NumberField label="Length at rest" {...lengthField(units, restM, BAND_LIMITS.lengthM, BY_RULE, setRestM)} />
        {points.map((point, i) => (
          <Row key={i} $gap={16} style={{ alignItems: "end" }}>
            <NumberField
              label={`Pulled to, ${i + 1}`}
              {...lengthField(units, point.lengthM, BAND_LIMITS.lengthM, BY_RULE, (lengthM) => set(i, { lengthM }))}
            />
            <NumberField
              label="The scale reads"
              unit={isMetric ? "kg" : "lb"}
              minValue={0}
              maxValue={isMetric ? 100 : 220}
              step={0.5}
              value={isMetric ? point.pullKg : Math.round(lbFromKg(point.pullKg) * 2) / 2}
              onChange={(value) => set(i, { pullKg: isMetric ? value : kgFromLb(value) })}
            />
            {points.length > BAND_LIMITS.pointCount.min && (
              <Button onPress={() => setPoints(points.filter((_, k) => k !== i))}>Remove</Button>
            )}
          </Row>
        ))}
        {points.length < BAND_LIMITS.pointCount.max && (
          <Button
            onPress={() =>
              setPoints([...points, { lengthM: (points.at(-1)?.lengthM ?? 1.2) + 0.3, pullKg: (points.at(-1)?.pullKg ?? 5) + 3 }])
            }
          >
            Another point
          </Button>
        )}
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking}>
          Keep this band
        </Button>
      </Stack>
    </Form>
  );
}

/** Which of the studio's bands is in hand, how it pulls, and a form to measure another. Its chart is not drawn anew while a movement plays. */
export const BandCard = memo(function BandCard(props: {
  bands: readonly MeasuredBand[];
  name: string | null;
  units: UnitSystem;
  onPick: (name: string | null) => void;
}) {
  const { bands, name, units, onPick } = props;
  const [isOpen, setOpen] = useState(false);
  const band = bands.find((each) => each.name === name) ?? null;
  return (
    <Stack $gap={8}>
      <SelectField
        label="Band"
        options={[{ id: NONE, label: NONE }, ...bands.map((each) => ({ id: each.name, label: each.name }))]}
        value={band?.name ?? NONE}
        onChange={(next) => onPick(next === NONE ? null : next)}
      />
      {band && (
        <>
          <Soft>
            at rest {lengthText(band.restM, units)};{" "}
            {band.points.map((p) => `${handText(p.tensionN, units)} at ${lengthText(p.lengthM, units)}`).join(", ")}
          </Soft>
          <BandCurve band={band} units={units} />
        </>
      )}
      <Button onPress={() => setOpen(true)}>Measure a band</Button>
      <Ask title="Measure a band" isOpen={isOpen} onClose={() => setOpen(false)}>
        <BandForm
          units={units}
          onDone={(kept) => {
            setOpen(false);
            onPick(kept);
          }}
        />
      </Ask>
    </Stack>
  );
});
