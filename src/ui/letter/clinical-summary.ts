import { latestOf, sidesOf } from "../../core/assess/finding";
import { PROTOCOLS, type Quantity } from "../../core/assess/protocols.data";
import type { Day } from "../../core/day";
import { limitState } from "../../core/limits/limit";
import { currentPlans } from "../../core/record/standing/plans";
import { responseTo } from "../../core/record/standing/history";
import type { ClientRecord } from "../../core/record/facts/record";
import type { ClinicalSummary, Observed } from "../../formats/fhir";
import { responseText } from "../../words/training/decision";
import { itemName } from "../../words/basics/item";
import { settingText } from "../../words/basics/lever";
import { limitText } from "../../words/client/limit";
import { itemDoseText } from "../../words/training/plan";
import { protocolName } from "../../words/basics/protocol";
import { conditionText } from "../../words/client/screen";

/** UCUM units; a choice among words is no quantity and is left to the letter. */
const UNITS: Readonly<Record<Exclude<Quantity, "choice">, string>> = {
  count: "{count}",
  seconds: "s",
  degrees: "deg",
  metres: "m",
  speed: "m/s",
  score: "{score}",
  fingers: "{fingers}",
  share: "1",
};
const LAST_MORNINGS = 30;

/** A client's record as a clinical summary: what was measured, told and done, and no note of a trainer's. */
export function clinicalSummary(record: ClientRecord, letters: ClinicalSummary["letters"], today: Day, madeAt: string): ClinicalSummary {
  const { client, complaints, screen, measures, responses, sessions, findings, limits } = record;
  const body = measures.at(-1);
  const sizes: Observed[] = body
    ? [
        { id: `${body.id} height`, day: body.day, kind: "height", value: Math.round(body.heightM * 1000) / 10, unit: "cm" },
        { id: `${body.id} mass`, day: body.day, kind: "weight", value: body.massKg, unit: "kg" },
      ]
    : [];
  const pains = responses
    .slice(-LAST_MORNINGS)
    .flatMap(({ id, day, painScore }): Observed[] =>
      painScore === null ? [] : [{ id, day, kind: "pain", value: painScore, unit: "{score}" }],
    );
  const measured = PROTOCOLS.flatMap((protocol): Observed[] => {
    const { quantity, id } = protocol;
    if (quantity === "choice") return [];
    return sidesOf(protocol).flatMap((side) => {
      const last = latestOf(findings, id, side);
      return last
        ? [
            {
              id: last.id,
              day: last.day,
              kind: "measure" as const,
              protocol: { id, name: protocolName(id), side },
              value: last.value,
              unit: UNITS[quantity],
            },
          ]
        : [];
    });
  });
  return {
    madeAt,
    patient: { id: client.id, name: client.name, birthYear: client.birthYear, sex: client.sex },
    conditions: [
      ...complaints.map(({ id, words, side }) => ({ id, words, side, sinceDay: null, isComplaint: true })),
      ...(screen.conditions ?? []).map(({ id, side, day }) => ({
        id: `${client.id} ${id} ${side}`,
        words: conditionText(id),
        side,
        sinceDay: day,
        isComplaint: false,
      })),
    ],
    observations: [...sizes, ...pains, ...measured],
    plan:
      currentPlans(record).length === 0
        ? null
        : {
            goal: client.goal,
            limits: limits
              .filter((limit) => ["in-force", "ask"].includes(limitState(limit, today)))
              .map((limit) => limitText(limit, today)),
            activities: currentPlans(record).map(
              ({ rung, prescription }) =>
                `${[itemName(rung), settingText(rung.setting, "metric")].filter(Boolean).join(", ")}; ${itemDoseText({ dose: prescription.dose, sides: [] })}`,
            ),
            fromDay:
              currentPlans(record)
                .map(({ prescription }) => prescription.day)
                .toSorted()[0] ?? today,
          },
    sessions: sessions
      .filter(({ sets }) => sets.length > 0)
      .map((session) => {
        const answer = responseTo(record, session)?.class;
        const items = new Set(session.sets.map(({ itemId }) => itemId)).size;
        return {
          id: session.id,
          day: session.day,
          words: `${items} ${items === 1 ? "exercise" : "exercises"}, ${session.sets.length} sets, ${answer ? responseText[answer] : "morning not known"}`,
        };
      }),
    letters,
  };
}
