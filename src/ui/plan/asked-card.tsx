"use client";
import type { Frequency } from "../../core/catalogue/variation";
import type { Day } from "../../core/day";
import { type Purpose, PURPOSES } from "../../core/dose/purpose";
import { SESSIONS_A_WEEK } from "../../core/session/plan";
import { SKELETONS } from "../../core/session/skeletons.data";
import { Button } from "../kit/button";
import { CheckField, ChoiceField, SelectField, TextField } from "../kit/fields";
import { Card, Row } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { capital } from "../../words/basics/words";
import { oftenName, purposeName, skeletonName, WEEKDAYS } from "../../words/training/plan";
import type { PlanState } from "./use-plan";

const NONE = "none";
const WEAK = ["left", "right", "both", NONE] as const;

/** What the session is made for, and when the client can. */
export function AskedCard({ plan, today }: { plan: PlanState; today: Day }) {
  const { draft, build, lay, change, isBuilding } = plan;
  return (
    <Card aria-label="Made for">
      <Row $gap={14} style={{ alignItems: "end" }}>
        <NumberField
          label="Minutes"
          minValue={10}
          maxValue={180}
          step={5}
          value={draft.minutes}
          onChange={(minutes) => Number.isFinite(minutes) && change({ minutes })}
        />
        <SelectField
          label="For"
          options={PURPOSES.map((id) => ({ id, label: capital(purposeName(id)) }))}
          value={draft.purpose}
          onChange={(purpose: Purpose) => change({ purpose })}
        />
        <SelectField
          label="Starting from"
          options={[{ id: NONE, label: "The usual parts" }, ...SKELETONS.map(({ id }) => ({ id, label: skeletonName(id) }))]}
          value={draft.skeletonId ?? NONE}
          onChange={(id: string) => change({ skeletonId: id === NONE ? null : id })}
        />
        <ChoiceField
          label="Weak side"
          options={WEAK.map((id) => ({ id, label: id }))}
          value={draft.weakSide ?? NONE}
          onChange={(id) => change({ weakSide: id === NONE ? null : id })}
        />
        <Button isDisabled={isBuilding} onPress={plan.addHardAndHold}>
          + 30 s hard, 30 s hold
        </Button>
        <Button $tone="primary" isDisabled={isBuilding} onPress={() => build({})}>
          Build it anew
        </Button>
      </Row>
      <Row $gap={14} style={{ alignItems: "end", marginTop: 10 }}>
        <SelectField
          label="How often"
          options={(Object.keys(SESSIONS_A_WEEK) as Frequency[]).map((id) => ({ id, label: capital(oftenName(id)) }))}
          value={draft.often}
          onChange={(often: Frequency) => lay({ often }, today)}
        />
        <div role="group" aria-label="Days the client can">
          <strong>Days</strong>
          <Row $gap={16} style={{ minHeight: 44 }}>
            {WEEKDAYS.map((name, i) => {
              const isOn = draft.weekdays.includes(i + 1);
              return (
                <CheckField
                  key={name}
                  label={name}
                  isSelected={isOn}
                  onChange={() => {
                    const days = isOn
                      ? draft.weekdays.filter((day) => day !== i + 1)
                      : [...draft.weekdays, i + 1].toSorted((x, y) => x - y);
                    if (days.length > 0) lay({ weekdays: days }, today);
                  }}
                />
              );
            })}
          </Row>
        </div>
        <NumberField
          label="Rounds"
          minValue={1}
          maxValue={3}
          value={draft.rounds}
          onChange={(rounds) => Number.isFinite(rounds) && change({ rounds })}
        />
        <TextField label="At" value={draft.at} onChange={(at) => change({ at })} />
        <NumberField
          label="For weeks"
          minValue={1}
          maxValue={12}
          value={draft.weeks}
          onChange={(weeks) => Number.isFinite(weeks) && lay({ weeks }, today)}
        />
        <CheckField
          label="Heavy and light days in turn"
          isSelected={draft.alternates === true}
          onChange={(alternates) => lay({ alternates }, today)}
        />
      </Row>
    </Card>
  );
}
