import { oncePer } from "../once";
import { harderOf, type LeverId, LEVERS, type Setting } from "./lever";
import { BODY_PARTS, type BodyPart, seatAtKneeM } from "./seat";
import type { ParameterRule, Parameters, Subject, Template, TemplateId } from "./template";
import { TEMPLATES } from "./templates";

/** An end of a lever's range: a number, part of the client's own body, or the seat at which the knee is bent so far. */
export type Bound = number | { of: BodyPart; times: number; plusM?: number } | { kneeFlexionDeg: number };
export interface LeverRange {
  lever: LeverId;
  min: Bound;
  max: Bound;
  /** Where it stands before anything is solved. */
  start: Bound;
}

/** A template with its parameters fixed and its levers ranged: what a variation is to the model. Plain data. */
export interface Form {
  template: TemplateId;
  parameters: Parameters;
  levers: readonly LeverRange[];
}

/** A lever's range on one body, SI. */
export interface OwnRange {
  lever: LeverId;
  min: number;
  max: number;
  start: number;
}

export const templateOf = ({ template }: Form): Template => TEMPLATES[template];

function own(subject: Subject, bound: Bound): number {
  if (typeof bound === "number") return bound;
  if ("kneeFlexionDeg" in bound) return seatAtKneeM(subject, bound.kneeFlexionDeg);
  return BODY_PARTS[bound.of](subject.body) * bound.times + (bound.plusM ?? 0);
}
const within = (value: number, min: number, max: number): number => Math.min(max, Math.max(min, value));

/** Every lever of a form on this body: what the row says, cut to what the template can do with such a body. */
export const leversOf = (subject: Subject, form: Form): readonly OwnRange[] => leversOn(subject)(form);
const leversOn = oncePer((subject: Subject) =>
  oncePer((form: Form): readonly OwnRange[] => {
    const { levers } = templateOf(form);
    return form.levers.map(({ lever, min, max, start }) => {
      const use = levers[lever];
      if (!use) throw new RangeError(`${form.template} has no ${lever}`);
      const [least, most] = use.range(subject);
      const low = within(own(subject, min), least, most);
      const high = Math.max(low, within(own(subject, max), least, most));
      return { lever, min: low, max: high, start: within(own(subject, start), low, high) };
    });
  }),
);
export const rangeOf = (subject: Subject, form: Form, lever: LeverId): OwnRange | undefined =>
  leversOf(subject, form).find((range) => range.lever === lever);

export const hasLever = ({ levers }: Form, lever: LeverId): boolean => levers.some((range) => range.lever === lever);

/** Where a form stands before anything is solved. A share is not among it: nobody has measured one yet. */
export const startSetting = (subject: Subject, form: Form): Setting =>
  Object.fromEntries(leversOf(subject, form).flatMap(({ lever, start }) => (lever === "shareFraction" ? [] : [[lever, start] as const])));

/** A rung's setting on another day's body: levers it has now, at what was kept, or at their start. */
export const settingOf = (subject: Subject, form: Form, setting: Setting): Setting => {
  const kept = Object.fromEntries(Object.entries(setting).filter(([lever]) => hasLever(form, lever as LeverId)));
  return { ...startSetting(subject, form), ...kept };
};

export type SettingProblem = { lever: string; code: "unknown-lever" } | { lever: LeverId; code: "out-of-range"; min: number; max: number };

/** What keeps a set-up from being one of this form on this body: levers that are another's, values out of range. */
export function settingProblems(subject: Subject, form: Form, setting: Setting): SettingProblem[] {
  const ranges = leversOf(subject, form);
  return Object.entries(setting).flatMap(([lever, value]): SettingProblem[] => {
    const range = ranges.find((each) => each.lever === lever);
    if (!range) return [{ lever, code: "unknown-lever" }];
    const { min, max } = range;
    return value >= min - 1e-9 && value <= max + 1e-9 ? [] : [{ lever: range.lever, code: "out-of-range", min, max }];
  });
}

/** Parameters with every gap filled: the first word, or the template's own number. */
export const parametersOf = oncePer((form: Form): Parameters => {
  const { parameters } = templateOf(form);
  const otherwise = (rule: ParameterRule): string | number => ("min" in rule ? rule.otherwise : (rule[0] ?? ""));
  return Object.fromEntries(Object.entries(parameters).map(([name, rule]) => [name, form.parameters[name] ?? otherwise(rule)]));
});

/** What is wrong with a form as data: template, parameters and levers it does not have. Empty when nothing is. */
export function formProblems(form: Form): string[] {
  const found = TEMPLATES[form.template] as Template | undefined;
  if (!found) return [`no template ${form.template}`];
  const wrong = Object.entries(form.parameters).filter(([name, value]) => {
    const rule = found.parameters[name];
    if (!rule) return true;
    return "min" in rule ? !(Number(value) >= rule.min && Number(value) <= rule.max) : !rule.includes(String(value));
  });
  return [
    ...wrong.map(([name, value]) => `${form.template} has no ${name} ${value}`),
    ...form.levers.filter(({ lever }) => !found.levers[lever]).map(({ lever }) => `${form.template} has no ${lever}`),
  ];
}

/** Levers as a template reads them: the setting's, the form's start, or the template's own where the form has no such lever. */
export function valuesOf(subject: Subject, form: Form, setting: Setting): Record<LeverId, number> & { shareFraction?: number | undefined } {
  const unset = unsetOn(subject)(form);
  const values = { ...unset };
  for (const { lever } of form.levers) values[lever] = setting[lever] ?? unset[lever];
  return values;
}
const unsetOn = oncePer((subject: Subject) =>
  oncePer((form: Form): Record<LeverId, number> => {
    const otherwise = Object.entries(templateOf(form).levers).map(([lever, use]) => [lever, use.otherwise] as const);
    return { ...Object.fromEntries(otherwise), ...startSetting(subject, form), shareFraction: undefined } as never;
  }),
);

/** The lever that the movement runs along. */
export const movedBy = (form: Form): LeverId => templateOf(form).movesBy(parametersOf(form));
export const isHarder = (lever: LeverId, a: number, b: number): boolean =>
  harderOf(lever) === "less" ? a < b - 1e-9 : harderOf(lever) === "more" && a > b + 1e-9;
export const isLoad = (lever: LeverId): boolean => LEVERS[lever].kind === "load";
