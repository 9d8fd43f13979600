"use client";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { variationById, variationsOf } from "../../core/catalogue/catalogue";
import type { Dose, Pattern, Variation } from "../../core/catalogue/variation";
import { type Purpose, proposedDose } from "../../core/dose/purpose";
import type { FitContext, Place } from "../../core/judge/context";
import { judge, type Judgement } from "../../core/judge/judge";
import { nearestOnHand } from "../../core/kit/on-hand";
import { type Listed, firstOf } from "../../core/progressions/list";
import type { Move } from "../../core/progressions/step";
import type { Tread } from "../../core/progressions/tread";
import type { Side } from "../../core/mechanics/channels";
import { leversOf, rangeOf, settingOf, startSetting } from "../../core/templates/form";
import { type LeverId, type Setting, withLever } from "../../core/templates/lever";
import { askWorker } from "./fit-worker";

export interface Plan extends Place {
  pattern: Pattern;
  side: Side;
  dose: Dose;
}
/** What the worker says about where the levers stand; it may lag a drag. */
export interface Around {
  stair: { treads: Tread[]; current: number };
  ease: Tread | null;
  build: Tread | null;
  leverCeilings: readonly (number | null)[];
}

/** An answer from the worker to the latest question; the ones before are dropped. */
function useAnswer<T>(ask: () => Promise<T>, key: unknown): { answer: T | null; isFailed: boolean } {
  const [state, setState] = useState<{ answer: T | null; isFailed: boolean }>({ answer: null, isFailed: false });
  const latest = useRef(ask);
  useEffect(() => {
    latest.current = ask;
  });
  useEffect(() => {
    let isCurrent = true;
    latest.current().then(
      (answer) => isCurrent && setState({ answer, isFailed: false }),
      () => isCurrent && setState((before) => ({ ...before, isFailed: true })),
    );
    return () => {
      isCurrent = false;
    };
  }, [key]);
  return state;
}

export interface Fit {
  context: FitContext;
  pattern: Pattern;
  setPattern: (pattern: Pattern) => void;
  setSide: (side: Side) => void;
  /** False only while a pattern without a plan waits for its first search. */
  isReady: boolean;
  /** The worker could not be started or died: what needs it is missing, and the screen says so. */
  isFailed: boolean;
  candidates: Listed[] | null;
  variation: Variation;
  setting: Setting;
  judgement: Judgement;
  dose: Dose;
  around: Around | null;
  pick: (variationId: string) => void;
  setLever: (lever: LeverId, value: number | null) => void;
  goTo: (place: Place) => void;
  here: Place;
  /** Takes the next step from wherever the levers stand, however fast the keys come. */
  go: (move: Move) => void;
  setDose: (dose: Dose) => void;
  /** The dose of this row for a purpose, by its school. */
  doseFor: (purpose: Purpose) => Dose;
}

/** The state of the Fit screen: what is picked and set. One set-up is judged here; everything slower is the worker's. */
export function useFit(given: FitContext, plans: readonly Plan[], first: Pattern): Fit {
  const [pattern, setPattern] = useState<Pattern>(first);
  const [sides, setSides] = useState<Partial<Record<Pattern, Side>>>({});
  const planned = plans.findLast((plan) => plan.pattern === pattern && (sides[pattern] === undefined || plan.side === sides[pattern]));
  const side = sides[pattern] ?? planned?.side ?? given.subject.leadSide;
  const context = useMemo(() => ({ ...given, subject: { ...given.subject, leadSide: side } }), [given, side]);
  const [settings, setSettings] = useState<Record<string, Setting>>(() =>
    Object.fromEntries(plans.map(({ variationId, setting }) => [variationId, setting])),
  );
  const [doses, setDoses] = useState<Record<string, Dose>>(() =>
    Object.fromEntries(plans.map(({ variationId, dose: { mixed: _, ...dose } }) => [variationId, dose])),
  );
  const [picked, setPicked] = useState<Partial<Record<Pattern, string>>>({});

  const known = settings[picked[pattern] ?? planned?.variationId ?? ""]?.shareFraction;
  const search = useAnswer(
    () => askWorker((work) => work.search(context, pattern, known === undefined ? {} : { shareFraction: known })),
    useMemo(() => ({ context, pattern, known }), [context, pattern, known]),
  );
  const candidates = search.answer?.[0] && variationById(search.answer[0].variationId).pattern === pattern ? search.answer : null;
  const variationId =
    picked[pattern] ?? planned?.variationId ?? firstOf(candidates ?? [])?.variationId ?? variationsOf(pattern, context.own)[0]?.id ?? "";
  const variation = useMemo(() => variationById(variationId), [variationId]);
  const found = candidates?.find((candidate) => candidate.variationId === variationId)?.setting;
  const kept = settings[variationId];
  const setting = useMemo(
    () => (kept ? settingOf(context.subject, variation, kept) : (found ?? startSetting(context.subject, variation))),
    [context.subject, variation, kept, found],
  );
  const judgement = useMemo(() => judge(context, variation, setting), [context, variation, setting]);
  const here = useMemo(() => ({ variationId, setting }), [variationId, setting]);
  const around = useAnswer(
    () => askWorker((work) => work.around(context, here)),
    useMemo(() => ({ context, here }), [context, here]),
  );

  const latest = useRef({ context, here });
  useEffect(() => {
    latest.current = { context, here };
  });
  const set = useCallback((place: Place): void => {
    latest.current = { ...latest.current, here: place };
    setPicked((all) => ({ ...all, [variationById(place.variationId).pattern]: place.variationId }));
    setSettings((all) => ({ ...all, [place.variationId]: place.setting }));
  }, []);
  const steps = useRef<Promise<unknown>>(Promise.resolve());
  const go = (move: Move): void => {
    steps.current = steps.current
      .then(() => askWorker((work) => work.around(latest.current.context, latest.current.here)))
      .then((answer) => {
        const tread = answer[move];
        if (tread) set({ variationId: tread.variationId, setting: tread.setting });
      })
      .catch(() => undefined);
  };
  return {
    context,
    pattern,
    setPattern,
    setSide: (next) => setSides((all) => ({ ...all, [pattern]: next })),
    isReady: kept !== undefined || picked[pattern] !== undefined || candidates !== null || search.isFailed,
    isFailed: search.isFailed || around.isFailed,
    candidates,
    variation,
    setting,
    judgement,
    dose: doses[variationId] ?? variation.dose,
    around: around.answer,
    pick: (id) => setPicked((all) => ({ ...all, [pattern]: id })),
    setLever: (lever, value) => {
      const { [lever]: _before, ...rest } = setting;
      const range = rangeOf(context.subject, variation, lever);
      set({
        variationId,
        setting: value === null || !range ? rest : withLever(setting, lever, nearestOnHand(context, variation, range, value)),
      });
    },
    goTo: (place) => {
      set(place);
      setPattern(variationById(place.variationId).pattern);
    },
    here,
    go,
    setDose: (dose) => setDoses((all) => ({ ...all, [variationId]: dose })),
    doseFor: (purpose) =>
      proposedDose(variation, purpose, { isFirst: !context.calmRows.includes(variationId), school: context.school }).dose,
  };
}

/** Levers of the picked variation on this body. */
export const rangesOf = ({ context, variation }: Fit) => leversOf(context.subject, variation);
