"use client";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { Form } from "react-aria-components";
import { keepOwnRowAction } from "../../actions/own-rows";
import { bodyFromMeasure } from "../../core/body/body";
import { variationByCode } from "../../core/catalogue/catalogue";
import { type Equipment, EQUIPMENT } from "../../core/kit/equipment";
import { asVariation, type OwnRow, ownProblems } from "../../core/catalogue/own";
import { type Trained, TRAINED, type TrainedScore } from "../../core/catalogue/variation";
import { DEFAULT_POSTURE } from "../../core/mechanics/posture";
import { leversOf, type LeverRange, templateOf } from "../../core/templates/form";
import { type LeverId, LEVERS } from "../../core/templates/lever";
import type { Subject } from "../../core/templates/template";
import { kgfFromN, nFromKgf, type UnitSystem } from "../../core/units";
import { DoseWords } from "../fit/dose-panel";
import { Button, TextButton } from "../kit/button";
import { CheckField, ChoiceField, SelectField, TextField } from "../kit/fields";
import { Card, Columns, Notice, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { BY_RULE, lengthField } from "../kit/unit-field";
import { useStep } from "../kit/use-step";
import { trainedName } from "../../words/basics/catalogue";
import { kitName, leverName } from "../../words/basics/lever";
import { capital } from "../../words/basics/words";
import { ownProblemText } from "../../words/training/own";
import { Drawn } from "./row-detail";

const BODIES = [
  { id: "150", label: "150 cm, 48 kg", heightM: 1.5, massKg: 48 },
  { id: "170", label: "170 cm, 70 kg", heightM: 1.7, massKg: 70 },
  { id: "195", label: "195 cm, 110 kg", heightM: 1.95, massKg: 110 },
] as const;
type BodyId = (typeof BODIES)[number]["id"];
const linesOf = (text: string): string[] =>
  text
    .split("\n")
    .map((line) => line.trim())
    .filter((line) => line !== "");
const codesOf = (text: string): string[] => [...new Set(text.toUpperCase().match(/[A-Z]\d{2}/g) ?? [])];

/** One end of a lever, in the trainer's unit. A bound told by the body keeps its rule until it is changed. */
function BoundField({
  lever,
  label,
  value,
  units,
  onChange,
}: {
  lever: LeverId;
  label: string;
  value: number;
  units: UnitSystem;
  onChange: (value: number) => void;
}) {
  const { unit } = LEVERS[lever];
  if (unit === "m") return <NumberField label={label} {...lengthField(units, value, { min: -1, max: 4 }, BY_RULE, onChange)} />;
  const [shown, toSi] =
    unit === "N" ? [kgfFromN(value), nFromKgf] : unit === "fraction" ? [value * 100, (x: number) => x / 100] : [value, (x: number) => x];
  return (
    <NumberField
      label={label}
      unit={unit === "N" ? "kg" : unit === "fraction" ? "%" : unit}
      value={Math.round(shown * 10) / 10}
      onChange={(next) => Number.isFinite(next) && onChange(toSi(next))}
    />
  );
}

function LeverLine({
  range,
  own,
  units,
  onChange,
}: {
  range: LeverRange;
  own: { min: number; max: number; start: number };
  units: UnitSystem;
  onChange: (range: LeverRange) => void;
}) {
  const { lever } = range;
  return (
    <Row $gap={12} style={{ alignItems: "end" }}>
      <strong style={{ width: 170 }}>{leverName(lever)}</strong>
      {(["min", "start", "max"] as const).map((end) => (
        <BoundField
          key={end}
          lever={lever}
          label={{ min: "From", start: "Starts at", max: "To" }[end]}
          value={own[end]}
          units={units}
          onChange={(value) => onChange({ ...range, [end]: value })}
        />
      ))}
    </Row>
  );
}

/** What the row trains, by a score each. */
function Trains({ value, onChange }: { value: OwnRow["trains"]; onChange: (trains: OwnRow["trains"]) => void }) {
  const [adding, setAdding] = useState<Trained>("quads");
  const entries = Object.entries(value) as [Trained, TrainedScore][];
  return (
    <Stack $gap={6}>
      <Title>Trains</Title>
      {entries.map(([id, score]) => (
        <Row key={id} $gap={12} style={{ alignItems: "end" }}>
          <ChoiceField
            label={capital(trainedName(id))}
            options={[1, 2, 3].map((each) => ({ id: String(each), label: ["a little", "well", "most"][each - 1] }))}
            value={String(score)}
            onChange={(next) => onChange({ ...value, [id]: Number(next) as TrainedScore })}
          />
          <TextButton
            aria-label={`Not ${trainedName(id)}`}
            onPress={() => onChange(Object.fromEntries(entries.filter(([other]) => other !== id)) as OwnRow["trains"])}
          >
            take away
          </TextButton>
        </Row>
      ))}
      <Row style={{ alignItems: "end" }}>
        <SelectField
          label="One more"
          options={TRAINED.map((id) => ({ id, label: capital(trainedName(id)) }))}
          value={adding}
          onChange={setAdding}
        />
        <Button onPress={() => onChange({ [adding]: 2, ...value })}>Add</Button>
      </Row>
    </Stack>
  );
}

/** A variation of one's own, made from a row of the catalogue: what it says, how far its levers go, and its figure at once. */
export function OwnEditor({ first, others, units }: { first: OwnRow; others: readonly OwnRow[]; units: UnitSystem }) {
  const [row, setRow] = useState(first);
  const [bodyId, setBodyId] = useState<BodyId>("170");
  const [texts, setTexts] = useState({
    cues: first.cues.join("\n"),
    cautions: first.cautions.join("\n"),
    easier: first.easierCodes.join(", "),
    harder: first.harderCodes.join(", "),
  });
  const { take, isTaking, problem } = useStep(units);
  const router = useRouter();
  const change = (part: Partial<OwnRow>): void => setRow((before) => ({ ...before, ...part }));
  const say = (part: Partial<typeof texts>): void => {
    const next = { ...texts, ...part };
    setTexts(next);
    change({
      cues: linesOf(next.cues),
      cautions: linesOf(next.cautions),
      easierCodes: codesOf(next.easier),
      harderCodes: codesOf(next.harder),
    });
  };
  const { heightM, massKg } = BODIES.find(({ id }) => id === bodyId) ?? BODIES[1];
  const subject = useMemo<Subject>(
    () => ({ body: bodyFromMeasure({ heightM, massKg, sex: "female" }), posture: DEFAULT_POSTURE, leadSide: "right" }),
    [heightM, massKg],
  );
  const problems = useMemo(() => ownProblems(row, others), [row, others]);
  const isWhole = !problems.some(({ code }) => code === "form" || code === "start-outside");
  const base = variationByCode(row.basedOn);
  const template = templateOf(row);
  const keep = (kept: OwnRow): void =>
    take(
      (stepId) => keepOwnRowAction(kept, stepId),
      () => router.push("/catalogue?shelf=own"),
    );
  return (
    <Page>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          keep(row);
        }}
      >
        <Columns $template="minmax(0, 1fr) 430px">
          <Card aria-label="The row">
            <Stack>
              <div>
                <h1 style={{ fontSize: 24 }}>
                  {first.revision > 1 || others.some(({ id }) => id === row.id) ? row.name : "A variation of our own"}
                </h1>
                <Soft>
                  Made from {base ? `${base.code}, ${base.name.toLowerCase()}` : row.basedOn}. Rules and schools that leave that one out
                  leave this one out.
                </Soft>
              </div>
              <TextField label="Name" isRequired maxLength={80} value={row.name} onChange={(name) => change({ name })} />
              <TextField label="What it is for" value={row.purpose} onChange={(purpose) => change({ purpose })} />
              <TextField label="Why, in a sentence to the client" value={row.why} onChange={(why) => change({ why })} />
              <TextField label="Set-up" long value={row.setUp} onChange={(setUp) => change({ setUp })} />
              <TextField label="Cues, one a line" long value={texts.cues} onChange={(cues) => say({ cues })} />
              <TextField label="To mind, one a line" long value={texts.cautions} onChange={(cautions) => say({ cautions })} />
              {Object.entries(template.parameters).map(([name, rule]) =>
                "min" in rule ? null : (
                  <SelectField
                    key={name}
                    label={capital(name.replace(/([A-Z])/g, " $1").toLowerCase())}
                    options={rule.map((id) => ({ id, label: id.replaceAll("-", " ") }))}
                    value={String(row.parameters[name] ?? rule[0])}
                    onChange={(value) => change({ parameters: { ...row.parameters, [name]: value } })}
                  />
                ),
              )}
              <Title>Levers</Title>
              {isWhole &&
                leversOf(subject, row).map((own, i) => (
                  <LeverLine
                    key={own.lever}
                    range={row.levers[i]!}
                    own={own}
                    units={units}
                    onChange={(range) => change({ levers: row.levers.with(i, range) })}
                  />
                ))}
              <Title>Dose to begin with</Title>
              <DoseWords dose={row.dose} startsBy={row.startsBy} legs="As written" units={units} onChange={(dose) => change({ dose })} />
              <Trains value={row.trains} onChange={(trains) => change({ trains })} />
              <Title>Needs</Title>
              <Row $gap={6}>
                {EQUIPMENT.map((item: Equipment) => (
                  <CheckField
                    key={item}
                    label={kitName(item)}
                    isSelected={row.equipment.includes(item)}
                    onChange={(on) => change({ equipment: on ? [...row.equipment, item] : row.equipment.filter((each) => each !== item) })}
                  />
                ))}
              </Row>
              <TextField label="Easier rows, by code" value={texts.easier} onChange={(easier) => say({ easier })} />
              <TextField label="Harder rows, by code" value={texts.harder} onChange={(harder) => say({ harder })} />
              {problems.map((each, i) => (
                <Notice key={i} $tone="oxide">
                  {ownProblemText(each)}
                </Notice>
              ))}
              <Problem text={problem} />
              <Row>
                <Button type="submit" $tone="primary" isDisabled={isTaking || problems.length > 0}>
                  Keep this row
                </Button>
                {others.some(({ id }) => id === row.id) && (
                  <Button $tone="danger" isDisabled={isTaking} onPress={() => keep({ ...first, isRetired: true })}>
                    Retire it
                  </Button>
                )}
              </Row>
            </Stack>
          </Card>
          <Card aria-label="The figure" style={{ position: "sticky", top: 10 }}>
            <Stack>
              <ChoiceField label="On a body of" options={BODIES} value={bodyId} onChange={setBodyId} />
              <div style={{ height: 320 }}>{isWhole && <Drawn row={asVariation(row)} subject={subject} units={units} />}</div>
              <Soft>As it starts on this body.</Soft>
            </Stack>
          </Card>
        </Columns>
      </Form>
    </Page>
  );
}
