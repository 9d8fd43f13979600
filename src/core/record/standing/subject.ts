import { bodyFromMeasure, type BodyMeasure } from "../../body/body";
import { sideToWatch } from "../../limits/complaint";
import type { Side } from "../../mechanics/channels";
import { DEFAULT_POSTURE, type PostureRule } from "../../mechanics/posture";
import { onceByName, oncePer } from "../../once";
import { namedJoints } from "../../screen/screen";
import type { Subject } from "../../templates/template";
import type { CalmPoseFact, ClientRecord, MeasureFact } from "../facts/record";

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
  const measure = record.measures.at(-1);
  if (!measure) return null;
  const [{ sex }, posture, leadSide] = [
    record.client,
    postureOf(record),
    sideToWatch([...record.complaints, ...namedJoints(record.screen)]),
  ];
  return madeOf(measure)(posture)(`${sex} ${leadSide}`, () => ({ body: bodyFromMeasure(measureOf(sex, measure)), posture, leadSide }));
}
/** The same facts are the same subject, whatever else has come to the record: what a rung asks of it is worked out once. */
const madeOf = oncePer((_: MeasureFact) => oncePer((__: PostureRule) => onceByName<Subject>()));

/** The same subject with this leg leading. */
export const ledBy = (subject: Subject, side: Side): Subject => (subject.leadSide === side ? subject : onLegs(subject)[side]);
const onLegs = oncePer((subject: Subject): Record<Side, Subject> => ({
  left: { ...subject, leadSide: "left" },
  right: { ...subject, leadSide: "right" },
}));

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
