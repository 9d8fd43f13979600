"use client";
import { useMemo, useState } from "react";
import { variationById, variationsOf } from "../../../core/catalogue/catalogue";
import { type Variation, PATTERNS } from "../../../core/catalogue/variation";
import { proposedDose } from "../../../core/dose/purpose";
import { tryDose } from "../../../core/dose/dose";
import type { Place } from "../../../core/judge/context";
import { type CandidateState, STATES } from "../../../core/judge/fit-reason";
import { type Candidate, fitVariation } from "../../../core/progressions/search";
import { buildOnce, type Stepped } from "../../../core/progressions/step";
import { type FloorBuild, handRule, isHarderStep, steppedTo } from "../../../core/progress/on-floor";
import type { Side } from "../../../core/mechanics/channels";
import { leversOf } from "../../../core/templates/form";
import { cuesFor } from "../../../core/judge/cues";
import { withLever } from "../../../core/templates/lever";
import type { UnitSystem } from "../../../core/units";
import { findRows } from "../../catalogue/find";
import { doseText } from "../../fit/dose-panel";
import { LeversPanel } from "../../fit/levers-panel";
import { Button } from "../../kit/button";
import { ChoiceField, FindField, TextField } from "../../kit/fields";
import { Row, Soft, Stack } from "../../kit/layout";
import { fitReasonText } from "../../../words/training/fit";
import { handRuleText } from "../../../words/training/floor";
import { changeText, settingText } from "../../../words/basics/lever";
import type { FloorSession } from "../session/floor-session";

interface DialogProps {
  session: FloorSession;
  build: FloorBuild;
  units: UnitSystem;
  onDone: () => void;
}

/** What a change takes, and the one tap that makes it. */
function Take({
  stepped,
  from,
  build,
  label,
  onTake,
}: {
  stepped: Stepped;
  from: Place;
  build: FloorBuild;
  label: string;
  onTake: (reason: string) => void;
}) {
  const [reason, setReason] = useState("");
  const rule = handRule(stepped, from, build);
  const needs = rule.code === "needs-reason";
  return (
    <Stack $gap={8}>
      {rule.code !== "free" && <p role="status">{handRuleText(rule)}</p>}
      {needs && <TextField label="Why" maxLength={400} value={reason} onChange={setReason} />}
      <Row>
        <Button
          $tone="primary"
          isDisabled={rule.code === "refused" || (needs && reason.trim() === "")}
          onPress={() => onTake(needs ? reason.trim() : "")}
        >
          {label}
        </Button>
      </Row>
    </Stack>
  );
}

/** One step up on the floor: by the rule, or with a reason. */
export function BuildDialog({ session, build, units, onDone }: DialogProps) {
  const { context, rung, dose } = session;
  const stepped = useMemo(() => buildOnce(context, rung, dose), [context, rung, dose]);
  if (!stepped?.tread.change) return <p>Nothing harder is left in this exercise.</p>;
  return (
    <Stack $gap={8}>
      <p>{changeText(stepped.tread.change, variationById(stepped.tread.variationId).name, units)}, from the next set on.</p>
      <Take
        stepped={stepped}
        from={rung}
        build={build}
        label="Build"
        onTake={(reason) => {
          session.move("build", stepped, reason);
          onDone();
        }}
      />
    </Stack>
  );
}

/** The set-up as it really stands: whatever lever was put elsewhere. */
export function ByHandDialog({ session, build, units, onDone }: DialogProps) {
  const { context, variation, rung, dose } = session;
  const [setting, setSetting] = useState(rung.setting);
  const ranges = useMemo(() => leversOf(context.subject, variation), [context.subject, variation]);
  const stepped = useMemo(() => steppedTo(context, rung, { ...rung, setting }, dose), [context, rung, setting, dose]);
  const changes = stepped.tread.change?.levers ?? [];
  return (
    <Stack $gap={8}>
      <LeversPanel
        row={variation}
        ranges={ranges}
        setting={setting}
        kit={context.kit}
        side={context.subject.leadSide}
        units={units}
        ceilings={[]}
        onLever={(lever, value) => setSetting((now) => (value === null ? now : withLever(now, lever, value)))}
      />
      {changes.length === 0 ? (
        <Soft>As it was planned.</Soft>
      ) : (
        <Take
          stepped={stepped}
          from={rung}
          build={build}
          label="Set it like this"
          onTake={(reason) => {
            session.move(isHarderStep(stepped, rung) ? "build" : "set-up", stepped, reason);
            onDone();
          }}
        />
      )}
    </Stack>
  );
}

const SHOWN = 6;
/** Between two sets nobody reads what else a rule would offer. */
const shortly = (reason: string): string => reason.split(" Instead:")[0] ?? reason;
/** The first dose where a row was never calm; one light set where it is only to be tried. */
function doseHere({ context }: FloorSession, row: Variation, state: CandidateState) {
  const { dose } = proposedDose(row, "strength", { isFirst: !context.calmRows.includes(row.id), school: context.school });
  return state === "try" ? tryDose(dose) : dose;
}
/** Rows to choose from, each fitted to this client, with what closes it. */
function PickRow(props: {
  session: FloorSession;
  rows: readonly Variation[];
  units: UnitSystem;
  children: (fit: Candidate, row: Variation) => React.ReactNode;
}) {
  const { session, rows, units, children } = props;
  const { context } = session;
  const [pickedId, setPicked] = useState<string | null>(null);
  const fitted = useMemo(
    () =>
      rows
        .slice(0, SHOWN)
        .map((row) => ({ row, fit: fitVariation(context, row) }))
        .toSorted((a, b) => STATES.indexOf(a.fit.state) - STATES.indexOf(b.fit.state)),
    [context, rows],
  );
  return (
    <Stack $gap={8}>
      {fitted.map(({ row, fit }) => (
        <div key={row.id}>
          <Button
            aria-pressed={pickedId === row.id}
            onPress={() => setPicked(pickedId === row.id ? null : row.id)}
            style={{ textAlign: "left" }}
          >
            {row.name}
          </Button>
          <Soft>
            {" "}
            {[settingText(fit.setting, units), fit.state === "open" ? "" : shortly(fitReasonText(fit.reasons[0], context.limits, units))]
              .filter(Boolean)
              .join("; ")}
          </Soft>
          {pickedId === row.id && children(fit, row)}
        </div>
      ))}
      {rows.length === 0 && <Soft>Nothing is called that.</Soft>}
    </Stack>
  );
}

/** Another exercise instead: its neighbours on the ladder, or any of the pattern by name. */
export function SwapDialog({ session, build, units, onDone }: DialogProps) {
  const { context, variation, rung } = session;
  const [words, setWords] = useState("");
  const neighbours = useMemo(
    () => [...variation.easier, ...variation.harder].map(variationById).filter(({ isKeptOut, isRetired }) => !isKeptOut && !isRetired),
    [variation],
  );
  const all = useMemo(() => variationsOf(variation.pattern, context.own).filter(({ id }) => id !== variation.id), [variation, context.own]);
  const rows = useMemo(() => (words.trim() === "" ? neighbours : findRows(all, words)), [words, neighbours, all]);
  return (
    <Stack $gap={10}>
      <FindField label="Find another of this pattern" value={words} onChange={setWords} />
      <PickRow session={session} rows={rows} units={units}>
        {({ variationId, setting, state }, row) => {
          const dose = doseHere(session, row, state);
          const stepped = steppedTo(context, rung, { variationId, setting }, dose);
          return (
            <Take
              stepped={stepped}
              from={rung}
              build={build}
              label={`Take it instead, ${doseText(dose, row.startsBy)}`}
              onTake={(reason) => {
                session.move("swap", stepped, reason);
                onDone();
              }}
            />
          );
        }}
      </PickRow>
    </Stack>
  );
}

/** One more exercise today, at the first dose where it was never calm. */
export function AddDialog({ session, units, onDone }: DialogProps) {
  const { context } = session;
  const [words, setWords] = useState("");
  const [reason, setReason] = useState("");
  const [side, setSide] = useState<Side>(context.subject.leadSide);
  const all = useMemo(() => PATTERNS.flatMap((pattern) => variationsOf(pattern, context.own)), [context.own]);
  const rows = useMemo(() => (words.trim() === "" ? [] : findRows(all, words)), [words, all]);
  return (
    <Stack $gap={10}>
      <FindField label="Find an exercise" value={words} onChange={setWords} />
      <ChoiceField
        label="Leading or working side"
        options={[
          { id: "right", label: "right" },
          { id: "left", label: "left" },
        ]}
        value={side}
        onChange={setSide}
      />
      {words.trim() !== "" && (
        <PickRow session={session} rows={rows} units={units}>
          {(fit, row) => {
            const { blocked, isPossible, state, variationId, setting } = fit;
            const dose = doseHere(session, row, state);
            const isClosed = blocked || !isPossible || state === "closed";
            const needs = state === "not-measured";
            return (
              <Stack $gap={8} style={{ marginTop: 6 }}>
                {needs && !isClosed && (
                  <TextField label="Why, though it is not measured" maxLength={400} value={reason} onChange={setReason} />
                )}
                <Row>
                  <Button
                    $tone="primary"
                    isDisabled={isClosed || (needs && reason.trim() === "")}
                    onPress={() => {
                      session.add({ place: { variationId, setting }, side, dose, reason: needs ? reason.trim() : "" });
                      onDone();
                    }}
                  >
                    {isClosed ? "Closed for this client today" : `Add it, ${doseText(dose, row.startsBy)}`}
                  </Button>
                </Row>
              </Stack>
            );
          }}
        </PickRow>
      )}
    </Stack>
  );
}

/** Two cues, one repetition or set each, and which felt lighter: the body's answer, not an opinion. */
export function CompareDialog({ session, onDone }: DialogProps) {
  const { context, variation } = session;
  const known = cuesFor(context, variation);
  const [cues, setCues] = useState<readonly [string, string]>([known[0] ?? "", known[1] ?? ""]);
  const isWhole = cues.every((cue) => cue.trim() !== "") && cues[0].trim() !== cues[1].trim();
  const tell = (lighter: 0 | 1 | null): void => {
    session.compare({ cues: [cues[0].trim(), cues[1].trim()], lighter });
    onDone();
  };
  return (
    <Stack $gap={10}>
      <TextField label="First cue" maxLength={200} value={cues[0]} onChange={(cue) => setCues([cue, cues[1]])} />
      <TextField label="Second cue" maxLength={200} value={cues[1]} onChange={(cue) => setCues([cues[0], cue])} />
      <p>A few repetitions with each, everything else the same. Which felt lighter?</p>
      <Row $gap={8}>
        <Button isDisabled={!isWhole} onPress={() => tell(0)}>
          The first
        </Button>
        <Button isDisabled={!isWhole} onPress={() => tell(1)}>
          The second
        </Button>
        <Button isDisabled={!isWhole} onPress={() => tell(null)}>
          No difference
        </Button>
      </Row>
    </Stack>
  );
}
