import { bodyFromMeasure } from "../../body/body";
import { variationById } from "../../catalogue/catalogue";
import { type Ceiling, ceilingsFromCalmPose, currentCeilings } from "../../limits/ceiling";
import { CHANNELS_OF_SITE } from "../../limits/complaint";
import type { Day } from "../../day";
import { onceByName, oncePer } from "../../once";
import type { PostureRule } from "../../mechanics/posture";
import type { CalmPoseFact, CeilingFact, ClientRecord, MeasureFact } from "../facts/record";
import { bodyMeasureAt, postureOf } from "./subject";

/**
 * A ceiling as it is comparable today: its calm pose computed anew on the body that did it as it is known now, under
 * today's posture rule and this engine, times what calm mornings have raised it by. A stored number of another rule or
 * engine is never compared with anything.
 */
function valueToday(record: ClientRecord, { channel, side, calmPoseId, raisedBy }: CeilingFact): { value: number } | { reason: string } {
  const pose = record.calmPoses.find(({ id }) => id === calmPoseId);
  const [latest, posture] = [record.measures.at(-1), postureOf(record)];
  const measure = pose && bodyMeasureAt(record, pose);
  if (!pose || !measure || !latest) return { reason: "source-missing" };
  const calibration = calibrated(pose)(latest)(posture)(record.client.sex, () =>
    ceilingsFromCalmPose({ body: bodyFromMeasure(measure), posture }, { ...pose, form: variationById(pose.variationId) }),
  );
  if (!calibration.ok) return { reason: calibration.reason };
  const found = calibration.ceilings.find((each) => each.channel === channel && each.side === side);
  return found ? { value: found.value * raisedBy } : { reason: "nothing-asked" };
}

/** One pose sets several ceilings, and the same ones whatever else has come to the record since. */
const calibrated = oncePer((_: CalmPoseFact) =>
  oncePer((__: MeasureFact) => oncePer((___: PostureRule) => onceByName<ReturnType<typeof ceilingsFromCalmPose>>())),
);

/** The ceilings that count today, and those that nothing can be compared with any more: shown, never dropped. */
export const ceilingsToday = (record: ClientRecord, today: Day): CeilingsToday => onDays(record)(today, () => readOn(record, today));
export interface CeilingsToday {
  usable: CeilingFact[];
  unusable: { ceiling: Ceiling; reason: string }[];
}
/** The same for either leg that leads, and so is what was learnt of them. */
const onDays = oncePer((_: ClientRecord) => onceByName<CeilingsToday>());
function readOn(record: ClientRecord, today: Day): CeilingsToday {
  const [usable, unusable]: [CeilingFact[], { ceiling: Ceiling; reason: string }[]] = [[], []];
  for (const ceiling of currentCeilings(record.ceilings, today)) {
    const pose = record.calmPoses.find(({ id }) => id === ceiling.calmPoseId);
    // of a channel that its site no longer speaks for: a back never capped a hip
    if (pose && !CHANNELS_OF_SITE[pose.limitedBy].includes(ceiling.channel)) continue;
    const found = valueToday(record, ceiling);
    if ("value" in found) usable.push({ ...ceiling, value: found.value });
    else unusable.push({ ceiling, reason: found.reason });
  }
  return { usable, unusable };
}
