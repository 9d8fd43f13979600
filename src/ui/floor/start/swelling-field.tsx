"use client";
import { ChoiceField } from "../../kit/fields";

export type SwellingAnswer = "yes" | "no";

/** Swelling outranks pain, so it is always asked and never assumed. */
export const SwellingField = ({ value, onChange }: { value: SwellingAnswer | null; onChange: (answer: SwellingAnswer) => void }) => (
  <ChoiceField
    label="More swollen than usual?"
    options={[
      { id: "no", label: "No" },
      { id: "yes", label: "Yes" },
    ]}
    value={value}
    onChange={onChange}
  />
);
