import type { Bundle, BundleEntry, CarePlan, Condition, DocumentReference, FhirResource, Observation, Patient, Procedure } from "fhir/r4";
import { v5 as uuidFromName } from "uuid";
import type { Day } from "../core/day";
import type { ChannelSide } from "../core/mechanics/channels";

/** What a clinical summary says, in the terms of the record and free of the format. Ids are the record's own. */
export interface ClinicalSummary {
  /** When it is made, ISO, UTC. */
  madeAt: string;
  patient: { id: string; name: string; birthYear: number; sex: "female" | "male" };
  conditions: readonly { id: string; words: string; side: ChannelSide; sinceDay: Day | null; isComplaint: boolean }[];
  observations: readonly Observed[];
  /** Limits in force and the programme, in words. */
  plan: { goal: string; limits: readonly string[]; activities: readonly string[]; fromDay: Day } | null;
  sessions: readonly { id: string; day: Day; words: string }[];
  letters: readonly { id: string; day: Day; title: string; pdfBase64: string }[];
}
export interface Observed {
  id: string;
  day: Day;
  kind: "height" | "weight" | "pain" | "measure";
  /** Of a measure: the protocol's own id and name, and its side. */
  protocol?: { id: string; name: string; side: ChannelSide };
  value: number;
  /** UCUM. */
  unit: string;
}

const LOINC = "http://loinc.org";
const UCUM = "http://unitsofmeasure.org";
/** Where no LOINC code is certain, a code of our own rather than an invented one. */
const OWN = "urn:ponderis:protocol";
const OWN_ID = "urn:ponderis:id";
const CATEGORY = "http://terminology.hl7.org/CodeSystem/observation-category";
/** Source: standards 13.1. */
const CODES = {
  height: { code: "8302-2", display: "Body height", category: "vital-signs" },
  weight: { code: "29463-7", display: "Body weight", category: "vital-signs" },
  pain: { code: "72514-3", display: "Pain severity - 0-10 verbal numeric rating [Score] - Reported", category: "survey" },
} as const;
const NAMESPACE = "1f6f3c26-2f0e-4a39-9b57-0c1d6a7d9d11";
const resourceId = (kind: string, id: string): string => uuidFromName(`${kind} ${id}`, NAMESPACE);
const fullUrl = (id: string): string => `urn:uuid:${id}`;
const identified = (id: string) => [{ system: OWN_ID, value: id }];

const LATERALITY = {
  left: { code: "7771000", display: "Left" },
  right: { code: "24028007", display: "Right" },
  both: { code: "51440002", display: "Right and left" },
} as const;
const SNOMED = "http://snomed.info/sct";
const sideConcept = (side: ChannelSide) => ({ coding: [{ system: SNOMED, ...LATERALITY[side] }], text: side });
const sideFrom = (text: string | undefined): ChannelSide => (text === "left" || text === "right" ? text : "both");

/** The same as an HL7 FHIR R4 bundle (4.0.1), a collection: every resource names its patient by a reference inside it. */
export function bundleOf(summary: ClinicalSummary): Bundle<FhirResource> {
  const { patient, madeAt } = summary;
  const patientId = resourceId("Patient", patient.id);
  const subject = { reference: fullUrl(patientId), display: patient.name };
  const resources: FhirResource[] = [
    {
      resourceType: "Patient",
      id: patientId,
      identifier: identified(patient.id),
      name: [{ text: patient.name }],
      gender: patient.sex,
      birthDate: String(patient.birthYear),
    } satisfies Patient,
    ...summary.conditions.map(({ id, words, side, sinceDay, isComplaint }): Condition => ({
      resourceType: "Condition",
      id: resourceId("Condition", id),
      identifier: identified(id),
      clinicalStatus: { coding: [{ system: "http://terminology.hl7.org/CodeSystem/condition-clinical", code: "active" }] },
      // told to a trainer, found by nobody here
      verificationStatus: { coding: [{ system: "http://terminology.hl7.org/CodeSystem/condition-ver-status", code: "unconfirmed" }] },
      category: [{ text: isComplaint ? "complaint" : "condition" }],
      code: { text: words },
      bodySite: [sideConcept(side)],
      subject,
      ...(sinceDay === null ? {} : { onsetDateTime: sinceDay }),
    })),
    ...summary.observations.map(({ id, day, kind, protocol, value, unit }): Observation => {
      const known = kind === "measure" ? null : CODES[kind];
      return {
        resourceType: "Observation",
        id: resourceId("Observation", id),
        identifier: identified(id),
        status: "final",
        category: [{ coding: [{ system: CATEGORY, code: known?.category ?? "exam" }] }],
        code: known
          ? { coding: [{ system: LOINC, code: known.code, display: known.display }], text: known.display }
          : { coding: [{ system: OWN, code: protocol?.id ?? "", display: protocol?.name ?? "" }], text: protocol?.name ?? "" },
        subject,
        effectiveDateTime: day,
        valueQuantity: { value, unit, system: UCUM, code: unit },
        ...(protocol ? { bodySite: sideConcept(protocol.side) } : {}),
      };
    }),
    ...(summary.plan
      ? [
          {
            resourceType: "CarePlan",
            id: resourceId("CarePlan", patient.id),
            status: "active",
            intent: "plan",
            title: "Training programme",
            ...(summary.plan.goal === "" ? {} : { description: summary.plan.goal }),
            subject,
            period: { start: summary.plan.fromDay },
            note: summary.plan.limits.map((text) => ({ text })),
            activity: summary.plan.activities.map((description) => ({ detail: { status: "in-progress", description } })),
          } satisfies CarePlan as CarePlan,
        ].map(withoutEmpty)
      : []),
    ...summary.sessions.map(({ id, day, words }): Procedure => ({
      resourceType: "Procedure",
      id: resourceId("Procedure", id),
      identifier: identified(id),
      status: "completed",
      code: { text: "Supervised training session" },
      subject,
      performedDateTime: day,
      note: [{ text: words }],
    })),
    ...summary.letters.map(({ id, day, title, pdfBase64 }): DocumentReference => ({
      resourceType: "DocumentReference",
      id: resourceId("DocumentReference", id),
      identifier: identified(id),
      status: "current",
      type: { text: "Letter" },
      subject,
      date: `${day}T12:00:00Z`,
      content: [{ attachment: { contentType: "application/pdf", title, data: pdfBase64 } }],
    })),
  ];
  return {
    resourceType: "Bundle",
    id: resourceId("Bundle", `${patient.id} ${madeAt}`),
    type: "collection",
    timestamp: madeAt,
    entry: resources.map((resource): BundleEntry<FhirResource> => ({ fullUrl: fullUrl(resource.id ?? ""), resource })),
  };
}
/** A list with nothing in it has no place in the format. */
function withoutEmpty(plan: CarePlan): CarePlan {
  const { note, activity, ...rest } = plan;
  return { ...rest, ...(note?.length ? { note } : {}), ...(activity?.length ? { activity } : {}) };
}

const isOf =
  <T extends FhirResource["resourceType"]>(kind: T) =>
  (resource: FhirResource): resource is Extract<FhirResource, { resourceType: T }> =>
    resource.resourceType === kind;
const ownId = (resource: {
  identifier?: { system?: string | undefined; value?: string | undefined }[] | undefined;
  id?: string | undefined;
}): string => resource.identifier?.find(({ system }) => system === OWN_ID)?.value ?? resource.id ?? "";

/** What a bundle of ours says, read back; null where it is no bundle of one patient, or not shaped as one. */
export function summaryFrom(bundle: unknown): ClinicalSummary | null {
  try {
    return readSummary(bundle);
  } catch (error) {
    if (error instanceof TypeError) return null; // somebody else's, whose parts are not where the standard has them
    throw error;
  }
}
function readSummary(bundle: unknown): ClinicalSummary | null {
  const { resourceType, entry, timestamp } = (bundle ?? {}) as Partial<Bundle<FhirResource>>;
  if (resourceType !== "Bundle" || !Array.isArray(entry)) return null;
  const resources = entry.flatMap(({ resource }) => (resource ? [resource] : []));
  const patients = resources.filter(isOf("Patient"));
  const [patient] = patients;
  if (!patient || patients.length > 1) return null;
  const [plan] = resources.filter(isOf("CarePlan"));
  return {
    madeAt: timestamp ?? "",
    patient: {
      id: ownId(patient),
      name: patient.name?.[0]?.text ?? "",
      birthYear: Number(patient.birthDate?.slice(0, 4)),
      sex: patient.gender === "male" ? "male" : "female",
    },
    conditions: resources.filter(isOf("Condition")).map((condition) => ({
      id: ownId(condition),
      words: condition.code?.text ?? "",
      side: sideFrom(condition.bodySite?.[0]?.text),
      sinceDay: condition.onsetDateTime ?? null,
      isComplaint: condition.category?.[0]?.text === "complaint",
    })),
    observations: resources.filter(isOf("Observation")).map((observation): Observed => {
      const coding = observation.code.coding?.[0];
      const kind =
        (Object.keys(CODES) as (keyof typeof CODES)[]).find((each) => coding?.system === LOINC && CODES[each].code === coding.code) ??
        "measure";
      return {
        id: ownId(observation),
        day: observation.effectiveDateTime ?? "",
        kind,
        ...(kind === "measure"
          ? { protocol: { id: coding?.code ?? "", name: coding?.display ?? "", side: sideFrom(observation.bodySite?.text) } }
          : {}),
        value: observation.valueQuantity?.value ?? NaN,
        unit: observation.valueQuantity?.code ?? "",
      };
    }),
    plan: plan
      ? {
          goal: plan.description ?? "",
          limits: plan.note?.map(({ text }) => text) ?? [],
          activities: plan.activity?.map(({ detail }) => detail?.description ?? "") ?? [],
          fromDay: plan.period?.start ?? "",
        }
      : null,
    sessions: resources.filter(isOf("Procedure")).map((procedure) => ({
      id: ownId(procedure),
      day: procedure.performedDateTime ?? "",
      words: procedure.note?.[0]?.text ?? "",
    })),
    letters: resources.filter(isOf("DocumentReference")).map((letter) => ({
      id: ownId(letter),
      day: letter.date?.slice(0, 10) ?? "",
      title: letter.content[0]?.attachment.title ?? "",
      pdfBase64: letter.content[0]?.attachment.data ?? "",
    })),
  };
}
