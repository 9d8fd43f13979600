import { bodyFromMeasure, type BodyMeasure } from "../body/body";
import { sideToWatch } from "../limits/complaint";
import { DEFAULT_POSTURE, type PostureRule } from "../mechanics/posture";
import { namedJoints } from "../screen/screen";
import type { Subject } from "../templates/template";
import type { CalmPoseFact, ClientRecord, MeasureFact } from "./record";

const measureOf = (sex: BodyMeasure["sex"], { heightM, massKg, overrides }: MeasureFact): BodyMeasure => ({
  heightM,
  massKg,
  sex,
  ...overrides,
});

/** The body as last measured, or null until one is. */
export function bodyMeasureOf({ client, measures }: Pick<ClientRecord, "client" | "measures">): BodyMeasure | null {
  const measure = measures.at(-1);
  return measure ? measureOf(client.sex, measure) : null;
}

export const postureOf = ({ postures }: Pick<ClientRecord, "postures">): PostureRule => postures.at(-1)?.rule ?? DEFAULT_POSTURE;

/** Body, posture and side to watch, from the latest of each. Null until a body is measured. */
export function subjectOf(record: ClientRecord): Subject | null {
  const measure = bodyMeasureOf(record);
  return (
    measure && {
      body: bodyFromMeasure(measure),
      posture: postureOf(record),
      leadSide: sideToWatch([...record.complaints, ...namedJoints(record.screen)]),
    }
  );
}

/**
 * The body that did a calm pose, as it is known now: its own mass and belly, and whatever lengths, stature and table the
 * tape has taught since. A heavier body is a body that has changed; a better measured one is the same.
 */
export function bodyMeasureAt(
  record: Pick<ClientRecord, "client" | "measures">,
  { massKg, bellyKg }: Pick<CalmPoseFact, "massKg" | "bellyKg">,
): BodyMeasure | null {
  const now = bodyMeasureOf(record);
  return now && { ...now, massKg, bellyKg };
}
