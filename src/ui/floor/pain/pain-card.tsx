"use client";
import { useState } from "react";
import type { Trained } from "../../../core/catalogue/variation";
import { hintsOf } from "../../../core/floor/hint";
import { MOMENTS, PAIN_KINDS } from "../../../core/floor/told";
import { cuesFor } from "../../../core/judge/cues";
import { Button, TextButton } from "../../kit/button";
import { Card, Row, Soft, Stack, Title } from "../../kit/layout";
import { Ask } from "../../kit/why";
import { feltName, hintText, KIND_NAMES, MOMENT_NAMES, placeName } from "../../../words/training/floor";
import { BodyOutline } from "./body-outline";
import { Chip } from "../session/chip";
import { PainPad } from "./pain-pad";
import type { FloorSession } from "../session/floor-session";

/** One of a few, by one tap; a second tap on the same takes it back. */
function Chips<T extends string>(props: {
  label: string;
  options: readonly T[];
  name: (option: T) => string;
  value: T | null;
  onPick: (option: T | null) => void;
}) {
  return (
    <Row $gap={6} role="group" aria-label={props.label}>
      <Soft>{props.label}</Soft>
      {props.options.map((option) => (
        <Chip key={option} isSelected={props.value === option} onChange={(isOn) => props.onPick(isOn ? option : null)}>
          {props.name(option)}
        </Chip>
      ))}
    </Row>
  );
}

/** What may be told of the last set beside its number; all of it can be left unsaid. */
function AboutIt({ session, asksBelly }: { session: FloorSession; asksBelly: boolean }) {
  const [isPointing, setPointing] = useState(false);
  const { lastSet, sets, variation, context, tell } = session;
  if (!lastSet) return null;
  const { painKind, painPlace, hurtsAt, feltIn, belly, painScore } = lastSet;
  const hurts = (painScore ?? 0) > 0 || lastSet.endedBy !== "pain-tap";
  const isFirst = sets[0] === lastSet;
  const felt: (Trained | "elsewhere")[] = [
    ...(Object.entries(variation.trains) as [Trained, number][]).filter(([, score]) => score >= 2).map(([trained]) => trained),
    "elsewhere",
  ];
  const hints = hintsOf(lastSet, variation, cuesFor(context, variation)[0] ?? null);
  return (
    <Stack $gap={8} style={{ marginTop: 10 }}>
      {asksBelly && (
        <Chips
          label="Belly in this set"
          options={["flat", "ridge"] as const}
          name={(each) => (each === "flat" ? "flat" : "a ridge along the middle")}
          value={belly}
          onPick={(to) => tell({ belly: to })}
        />
      )}
      {hurts && (
        <>
          <Chips
            label="Kind"
            options={PAIN_KINDS}
            name={(each) => KIND_NAMES[each]}
            value={painKind}
            onPick={(to) => tell({ painKind: to })}
          />
          <Row $gap={10}>
            <Button $tight onPress={() => setPointing(true)}>
              {painPlace ? placeName(painPlace.place, painPlace.side) : "Where on the body"}
            </Button>
            {isFirst && (
              <Chips
                label="It hurts"
                options={MOMENTS}
                name={(each) => MOMENT_NAMES[each]}
                value={hurtsAt}
                onPick={(to) => tell({ hurtsAt: to })}
              />
            )}
          </Row>
        </>
      )}
      {isFirst && felt.length > 1 && (
        <Chips label="Felt in" options={felt} name={feltName} value={feltIn} onPick={(to) => tell({ feltIn: to })} />
      )}
      {hints.map((hint) => (
        <p key={hint.code} role="status">
          {hintText(hint, variation)}
        </p>
      ))}
      <Ask title="Where on the body?" isOpen={isPointing} onClose={() => setPointing(false)}>
        <BodyOutline
          value={painPlace}
          onPick={(place) => {
            tell({ painPlace: place });
            setPointing(false);
          }}
        />
        {painPlace && (
          <TextButton
            onPress={() => {
              tell({ painPlace: null });
              setPointing(false);
            }}
          >
            nowhere in particular
          </TextButton>
        )}
      </Ask>
    </Stack>
  );
}

/** The number that ends a set and saves it, and in the rest what it was like. */
export function PainCard(props: { session: FloorSession; limitScore: number; painSite: string; canTap: boolean; asksBelly: boolean }) {
  const { session, limitScore, painSite, canTap, asksBelly } = props;
  const { tempo, lastSet } = session;
  const isResting = tempo.status === "idle";
  return (
    <Card aria-label="Pain">
      <Row style={{ justifyContent: "space-between", marginBottom: 8 }}>
        <Title>
          {isResting && lastSet ? `Pain of set ${session.sets.indexOf(lastSet) + 1}` : "Pain during this set"}, {painSite}
        </Title>
        <Soft>agreed: {limitScore}, nothing sharp; a tap ends the set and saves it</Soft>
      </Row>
      <PainPad
        label="Pain during this set"
        value={isResting ? (lastSet?.painScore ?? null) : null}
        limitScore={limitScore}
        isDisabled={!canTap}
        onTap={session.tapPain}
      />
      {isResting && <AboutIt session={session} asksBelly={asksBelly} />}
    </Card>
  );
}
