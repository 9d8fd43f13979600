"use client";
import { type Complaint, isBack, SITES } from "../../core/limits/complaint";
import { ChoiceField, SelectField, TextField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Row, Stack } from "../kit/layout";
import { BodyMap, spotName } from "./body-map";
import { siteName } from "../../words/client/limit";
import { capital } from "../../words/basics/words";

/** A complaint while it is entered: numbers and side may still be missing. */
export type ComplaintDraft = Omit<Complaint, "side"> & { side: Complaint["side"] | null };
export const emptyComplaint = (id: string): ComplaintDraft => ({
  id,
  site: "kneecap",
  side: null,
  words: "",
  usualPainScore: NaN,
  painLimitScore: NaN,
});
/** Where nobody has said: no pain is usual, and little is agreed. Mornings and the trainer say more. */
const UNSAID = { usualPainScore: 0, painLimitScore: 2 } as const;
/** A complaint with what was left out filled in on the safe side: its words are where it hurts. */
export function filledIn(draft: ComplaintDraft): ComplaintDraft {
  const { site, side, words, usualPainScore, painLimitScore } = draft;
  return {
    ...draft,
    words: words.trim() === "" && side !== null ? spotName({ site, side }) : words,
    usualPainScore: Number.isFinite(usualPainScore) ? usualPainScore : UNSAID.usualPainScore,
    painLimitScore: Number.isFinite(painLimitScore) ? painLimitScore : UNSAID.painLimitScore,
  };
}
export const isComplete = ({ side, words, usualPainScore, painLimitScore }: ComplaintDraft): boolean =>
  side !== null && words.trim() !== "" && Number.isFinite(usualPainScore) && Number.isFinite(painLimitScore);

const SITE_OPTIONS = SITES.map((id) => ({ id, label: capital(siteName[id]) }));
const SIDES = [
  { id: "left", label: "Left" },
  { id: "right", label: "Right" },
  { id: "both", label: "Both, or the middle" },
] as const;

/** What hurts, where, the pain that is usual there and the pain agreed during a set. */
export function ComplaintFields({ value, onChange }: { value: ComplaintDraft; onChange: (value: ComplaintDraft) => void }) {
  const { site, side, words, usualPainScore, painLimitScore } = value;
  return (
    <Stack>
      <BodyMap value={value} onChange={(spot) => onChange({ ...value, ...spot })} />
      <Row $gap={24} style={{ alignItems: "start" }}>
        <SelectField
          label="Or from the list"
          options={SITE_OPTIONS}
          value={site}
          onChange={(next) => onChange({ ...value, site: next, side: isBack(next) ? "both" : isBack(site) ? null : side })}
        />
        {!isBack(site) && (
          <ChoiceField label="Which side" options={SIDES} value={side} onChange={(next) => onChange({ ...value, side: next })} />
        )}
      </Row>
      <TextField
        label="What hurts"
        value={words}
        onChange={(next) => onChange({ ...value, words: next })}
        hint="In the client's words, if they say more: right kneecap on stairs down"
      />
      <Row $gap={24} style={{ alignItems: "start" }}>
        <NumberField
          label="Usual morning pain"
          unit="0 to 10"
          minValue={0}
          maxValue={10}
          value={usualPainScore}
          onChange={(next) => onChange({ ...value, usualPainScore: next })}
          hint={`Empty: ${UNSAID.usualPainScore}, until mornings say otherwise`}
        />
        <NumberField
          label="Pain agreed during a set"
          unit="0 to 5"
          minValue={0}
          maxValue={5}
          value={painLimitScore}
          onChange={(next) => onChange({ ...value, painLimitScore: next })}
          hint={`Empty: ${UNSAID.painLimitScore}. 3 is usual; never sharp, settled next morning`}
        />
      </Row>
    </Stack>
  );
}
