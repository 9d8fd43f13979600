"use client";
import { useState } from "react";
import styled from "styled-components";
import { phasesOf, placeInMovement, repetitionS } from "../../core/dose/dose";
import type { HomeTold } from "../../core/record/facts/home-told";
import type { Side } from "../../core/mechanics/channels";
import { PlainDrawn } from "../figure/plain-drawn";
import { useAwake } from "../floor/session/use-awake";
import { useReading, useTempo, type Tempo } from "../floor/tempo/use-tempo";
import { capital } from "../../words/basics/words";
import { color, font } from "../theme/tokens";
import type { HomeExercise } from "./home-page";
import { Body, LinkTap, Pair, Part, Phone, Quiet, Tap, Top } from "./parts";

const Drawn = styled.div`
  display: grid;
  place-items: center;
  height: 230px;
  background: ${color.paper};
`;
const Bar = styled.div`
  display: flex;
  gap: 6px;
  div {
    height: 12px;
    background: linear-gradient(${color.brass}, ${color.brass}) no-repeat ${color.fogDeep};
  }
  span {
    font-size: 16px;
    color: ${color.inkSoft};
  }
`;
const Dose = styled.p`
  font: 700 32px/1.1 ${font.head};
`;
const Ends = styled.div`
  position: sticky;
  bottom: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
  button {
    min-height: 68px;
    border-radius: 0;
    text-align: center;
  }
`;
const Scores = styled.div`
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px;
  button {
    text-align: center;
    font: 700 22px ${font.head};
  }
`;
const PHASE = { lower: "down", pause: "hold", rise: "up" } as const;
const LEFT = [
  { label: "None", left: 0 },
  { label: "One or two", left: 1 },
  { label: "Three or more", left: 3 },
] as const;

/** The figure as it is set up. */
function Still({ exercise: { figure, name } }: { exercise: HomeExercise }) {
  const frame = figure?.frames.at(-1);
  return figure && frame ? (
    <Drawn>
      <PlainDrawn figure={frame} box={figure.box} label={`How ${name} is done`} tone="screen" size={220} />
    </Drawn>
  ) : null;
}

/** The figure moving with the tempo, and the tempo as a bar. */
function Moving({ exercise, tempo }: { exercise: HomeExercise; tempo: Tempo }) {
  const { figure, dosed, startsBy, name, tempo: words } = exercise;
  const { moment, countInS, repetitions } = useReading(tempo);
  const isRunning = tempo.status === "running" && countInS === 0;
  const part = figure && isRunning ? placeInMovement(figure.isLowAtEnd, startsBy, moment) : 1;
  const frame = figure?.frames[Math.round(part * (figure.frames.length - 1))];
  return (
    <>
      {figure && frame && (
        <Drawn>
          <PlainDrawn figure={frame} box={figure.box} label={`How ${name} is done`} tone="screen" size={220} />
        </Drawn>
      )}
      <Bar aria-hidden>
        {phasesOf(dosed, startsBy)
          .filter(({ lengthS }) => lengthS > 0)
          .map(({ phase, lengthS }) => {
            const done = !isRunning || moment.phase !== phase ? 0 : moment.phaseFraction;
            return (
              <span key={phase} style={{ flex: lengthS }}>
                <div style={{ backgroundSize: `${done * 100}% 100%` }} />
                {PHASE[phase]}
              </span>
            );
          })}
      </Bar>
      <p role="status" style={{ padding: "0 18px", fontSize: 24, fontWeight: 700 }}>
        {tempo.status === "idle"
          ? words
          : countInS > 0
            ? `Ready in ${countInS}`
            : tempo.status === "done"
              ? "Done: tell how it was"
              : repetitions > 0
                ? `${repetitions} done`
                : "Now"}
      </p>
    </>
  );
}

type SetTold = Extract<HomeTold, { kind: "set" }>;

/** One exercise: drawn large, its tempo, what to mind, and a set told in three taps: done, how many, how it felt. */
export function ExerciseView(props: {
  exercise: HomeExercise;
  /** Which set comes now: whose side, and how many of it are done. */
  side: Side | null;
  repetitions: number;
  setLabel: string;
  onTold: (told: SetTold) => void;
  onClose: () => void;
}) {
  const { exercise, side, repetitions, setLabel, onTold, onClose } = props;
  const { line, name, setUp, setting, dose, cues, why, rest, turn, dosed, startsBy, holdS } = exercise;
  const isCounted = repetitionS(dosed) > 0; // rounds, lengths and metres have no tempo
  const tempo = useTempo(`home ${line}`, line, dosed, startsBy, false);
  const [asking, setAsking] = useState<"done" | "hurt" | null>(null);
  const [count, setCount] = useState(repetitions);
  const [scored, setScored] = useState<number | null>(null);
  useAwake(tempo.status === "running");
  const end = (how: "done" | "hurt"): void => {
    tempo.stop();
    setCount(how === "hurt" && tempo.status === "running" ? tempo.read().repetitions : repetitions);
    setAsking(how);
  };
  const tell = (more: Pick<SetTold, "painScore" | "leftInTank" | "isSharp">): void => {
    tempo.clear();
    onTold({ kind: "set", line, side, repetitions: holdS === null ? count : 1, workedS: holdS, ...more });
  };
  return (
    <Phone>
      <Top>
        <LinkTap type="button" onClick={onClose}>
          Back to the list
        </LinkTap>
        <h1>{name}</h1>
        <p>{setLabel}</p>
      </Top>
      {asking === null ? (
        <>
          {isCounted ? <Moving exercise={exercise} tempo={tempo} /> : <Still exercise={exercise} />}
          <Body>
            <div>
              {setting && <strong>{capital(setting)}. </strong>}
              {setUp}
            </div>
            <Dose>{dose}</Dose>
            <p>{cues.join(". ")}.</p>
            <Quiet>
              {why} {capital([rest, turn].filter(Boolean).join("; "))}
            </Quiet>
            {!isCounted ? null : tempo.status === "idle" || tempo.status === "stopped" ? (
              <Tap type="button" onClick={() => tempo.start()}>
                {tempo.status === "idle" ? "Count with me" : "Go on"}
              </Tap>
            ) : (
              <Tap type="button" onClick={() => tempo.stop()}>
                Wait
              </Tap>
            )}
          </Body>
          <Ends>
            <Tap type="button" $tone="stop" onClick={() => end("hurt")}>
              It hurt
            </Tap>
            <Tap type="button" $tone="chosen" onClick={() => end("done")}>
              Set done
            </Tap>
          </Ends>
        </>
      ) : (
        <Body>
          {holdS === null && (
            <Part aria-label="How many">
              <h2>How many?</h2>
              <Pair style={{ gridTemplateColumns: "72px 1fr 72px", alignItems: "center", textAlign: "center" }}>
                <Tap type="button" aria-label="One fewer" onClick={() => setCount(Math.max(0, count - 1))}>
                  −
                </Tap>
                <Dose aria-live="polite">{count}</Dose>
                <Tap type="button" aria-label="One more" onClick={() => setCount(Math.min(200, count + 1))}>
                  +
                </Tap>
              </Pair>
            </Part>
          )}
          <Part role="group" aria-label="Pain in this set">
            <h2>Pain while doing it?</h2>
            <Quiet>0 is none, 10 the worst there is. Muscles at work are not pain.</Quiet>
            <Scores>
              {Array.from({ length: 11 }, (_, score) => (
                <Tap
                  key={score}
                  type="button"
                  aria-label={`Pain ${score}`}
                  $tone={scored === score ? "chosen" : "plain"}
                  onClick={() => (asking === "done" ? tell({ painScore: score, leftInTank: null, isSharp: false }) : setScored(score))}
                >
                  {score}
                </Tap>
              ))}
            </Scores>
          </Part>
          {asking === "hurt" && scored !== null && (
            <Part role="group" aria-label="Sharp">
              <h2>Was it sharp, or did it spread down the leg?</h2>
              <Pair>
                <Tap type="button" onClick={() => tell({ painScore: scored, leftInTank: null, isSharp: false })}>
                  No, an ache
                </Tap>
                <Tap type="button" $tone="stop" onClick={() => tell({ painScore: scored, leftInTank: null, isSharp: true })}>
                  Yes
                </Tap>
              </Pair>
            </Part>
          )}
          <LinkTap type="button" onClick={() => setAsking(null)}>
            Not done yet
          </LinkTap>
        </Body>
      )}
    </Phone>
  );
}

/** After the last set of an exercise: how many more there were in it. It is what a build is decided by. */
export function LeftAsked({ name, onTold }: { name: string; onTold: (left: number | null) => void }) {
  return (
    <Part role="group" aria-label="How many more">
      <h2>{name}: how many more could you have done?</h2>
      {LEFT.map(({ label, left }) => (
        <Tap key={label} type="button" onClick={() => onTold(left)}>
          {label}
        </Tap>
      ))}
      <LinkTap type="button" onClick={() => onTold(null)}>
        I cannot say
      </LinkTap>
    </Part>
  );
}
