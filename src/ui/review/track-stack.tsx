"use client";
import { useRef } from "react";
import {
  Bar,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import styled from "styled-components";
import type { Day } from "../../core/day";
import type { Limit } from "../../core/limits/limit";
import type { DecisionMove } from "../../core/progress/decide";
import { LEVERS, type LeverId } from "../../core/templates/lever";
import type { UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { Row, Soft } from "../kit/layout";
import { levelText } from "../../words/client/client";
import { dayText } from "../../words/basics/day";
import { moveText } from "../../words/training/decision";
import { leverName, leverValueText } from "../../words/basics/lever";
import { limitRuleText } from "../../words/client/limit";
import { presetName } from "../../words/training/school";
import { color, media } from "../theme/tokens";
import { saveSvg, savePng } from "./save-stack";
import type { Mark, TimeLine, Track } from "./time-line";

const Tracks = styled.div`
  display: grid;
  grid-template-columns: 118px minmax(0, 1fr);
  align-items: center;
  svg.recharts-surface {
    overflow: visible;
  }
  .name small {
    display: block;
    color: ${color.inkSoft};
    font-size: 15px;
  }
  ${media.phone} {
    grid-template-columns: minmax(0, 1fr);
    .name small {
      display: inline;
      margin-left: 8px;
    }
  }
`;
const HEIGHT_PX = 84;
const DAY_MS = 24 * 3_600_000;
const NAMES: Readonly<Record<Exclude<Track["id"], LeverId>, readonly [name: string, unit: string]>> = {
  pain: ["Pain", "in the session"],
  morning: ["Morning", "pain after"],
  use: ["Use", "% of the tightest"],
  stair: ["Stair", "steps climbed"],
  share: ["Share", "% under the leg"],
  symmetry: ["Symmetry", "weaker side, % of the other"],
  volume: ["Volume", "repetitions a week"],
  task: ["Everyday task", "0 easy, 3 not done"],
};
const isLever = (id: Track["id"]): id is LeverId => id in LEVERS;
const nameOf = (id: Track["id"]): readonly [string, string] => (isLever(id) ? [leverName(id), "as it stood"] : NAMES[id]);
const msOf = (day: Day): number => Date.parse(`${day}T12:00:00Z`);
const dayOfMs = (ms: number): Day => new Date(ms).toISOString().slice(0, 10);
const MARKS: Readonly<Record<Mark["kind"], string>> = { limit: "limit", "limit-ends": "lifted", retest: "measured" };
const MOVE_COLOR: Readonly<Record<DecisionMove, string>> = {
  build: color.moss,
  hold: "#6d8591",
  ease: color.brass,
  rest: color.oxide,
  stop: color.oxide,
};

function valueText(id: Track["id"], value: number, units: UnitSystem): string {
  if (isLever(id)) return leverValueText(id, value, units);
  if (id === "task") return levelText[value]?.toLowerCase() ?? String(value);
  return ["use", "share", "symmetry"].includes(id) ? `${Math.round(value)}%` : String(Math.round(value * 10) / 10);
}

function OneTrack(props: {
  track: Track;
  line: TimeLine;
  marks: readonly { day: Day; label: string }[];
  isLast: boolean;
  units: UnitSystem;
  onOpen: (sessionId: string) => void;
}) {
  const { track, line, marks, isLast, units, onOpen } = props;
  const data = track.points.map(({ day, value, sessionId }) => ({ at: msOf(day), value, sessionId }));
  const values = data.map(({ value }) => value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = Math.max((high - low) * 0.2, Math.abs(high) * 0.03, 0.001);
  const domain: [number, number] =
    track.as === "bars" || track.id === "task"
      ? [0, Math.max(high, track.reference ?? 0, 3)]
      : track.id === "stair"
        ? [Math.min(low, 0), Math.max(high, 2)]
        : [Math.min(low, track.reference ?? low) - room, Math.max(high, track.reference ?? high) + room];
  const open = (point: unknown): void => {
    const { sessionId } = ((point as { payload?: { sessionId?: string | null } }).payload ?? point ?? {}) as { sessionId?: string | null };
    if (sessionId) onOpen(sessionId);
  };
  const dot = { r: 4, fill: color.marine, cursor: "pointer" };
  return (
    <ResponsiveContainer width="100%" height={isLast ? HEIGHT_PX + 26 : HEIGHT_PX}>
      <ComposedChart data={data} syncId="review" margin={{ top: 8, right: 20, bottom: 0, left: 0 }} accessibilityLayer={false}>
        <CartesianGrid stroke={color.fog} />
        <XAxis
          dataKey="at"
          type="number"
          domain={[msOf(line.from) - DAY_MS, msOf(line.to) + DAY_MS]}
          tickFormatter={(ms: number) => dayText(dayOfMs(ms))}
          tick={isLast ? { fill: color.inkSoft, fontSize: 15 } : false}
          height={isLast ? 26 : 1}
          minTickGap={40}
        />
        <YAxis
          domain={domain}
          tickFormatter={(value: number) => valueText(track.id, value, units)}
          tick={{ fill: color.inkSoft, fontSize: 15 }}
          width={72}
          tickCount={3}
          allowDecimals={track.id !== "stair"}
        />
        {track.reference !== null && <ReferenceLine y={track.reference} stroke={color.oxide} strokeDasharray="5 4" />}
        {marks.map(({ day, label }, i) => (
          <ReferenceLine key={`${day} ${label} ${i}`} x={msOf(day)} stroke={color.brassLight} />
        ))}
        {track.as === "bars" ? (
          <Bar
            dataKey="value"
            fill={track.id === "pain" ? "#6d8591" : color.marine}
            barSize={7}
            isAnimationActive={false}
            onClick={open}
            cursor="pointer"
          />
        ) : (
          <Line
            type={track.as === "steps" ? "stepAfter" : "linear"}
            dataKey="value"
            stroke={track.as === "steps" ? color.moss : color.marine}
            strokeWidth={2.5}
            dot={dot}
            activeDot={{ ...dot, r: 6, onClick: (_event: unknown, point: unknown) => open(point) }}
            isAnimationActive={false}
          />
        )}
        <Tooltip
          labelFormatter={(ms) => dayText(dayOfMs(Number(ms)))}
          formatter={(value) => [valueText(track.id, Number(value), units), nameOf(track.id)[0]]}
          isAnimationActive={false}
        />
      </ComposedChart>
    </ResponsiveContainer>
  );
}

/** So much of the line's width a school's name needs. */
const NAMED_FROM = 0.22;
/** Which school held, as stretches of the same line of time. */
function SchoolBands({ line: { schools, from, to } }: { line: TimeLine }) {
  const [start, end] = [msOf(from) - DAY_MS, msOf(to) + DAY_MS];
  return (
    <ResponsiveContainer width="100%" height={34}>
      <ComposedChart
        data={[start, end].map((at) => ({ at, held: 0 }))}
        margin={{ top: 2, right: 20, bottom: 2, left: 72 }}
        accessibilityLayer={false}
      >
        <XAxis dataKey="at" type="number" domain={[start, end]} hide />
        <YAxis hide domain={[0, 1]} />
        <Line dataKey="held" stroke="none" dot={false} activeDot={false} isAnimationActive={false} />
        {schools.map(({ from: since, to: until, preset }, i) => (
          <ReferenceArea
            key={since}
            x1={msOf(since)}
            x2={until === to ? end : msOf(until)}
            y1={0}
            y2={1}
            fill={i % 2 === 0 ? color.brassLight : color.fogDeep}
            fillOpacity={0.55}
            {...((msOf(until) - msOf(since)) / (end - start) >= NAMED_FROM
              ? { label: { value: presetName(preset), position: "insideLeft" as const, fill: color.ink, fontSize: 15 } }
              : {})}
          />
        ))}
      </ComposedChart>
    </ResponsiveContainer>
  );
}

/** Small charts one under another on one line of true dates, with what was decided and what changed; every point opens its session. */
export default function TrackStack(props: {
  line: TimeLine;
  limits: readonly Limit[];
  units: UnitSystem;
  onOpen: (sessionId: string) => void;
}) {
  const { line, limits, units, onOpen } = props;
  const stack = useRef<HTMLDivElement>(null);
  const marks = line.marks.map(({ day, kind, id }) => {
    const limit = limits.find((each) => each.id === id);
    return { day, label: limit ? `${MARKS[kind]}: ${limitRuleText(limit.rule, limit.side, units)}` : MARKS[kind] };
  });
  const said = [...line.schools.map(({ from, preset }) => ({ day: from, label: `school: ${presetName(preset)}` })), ...marks].toSorted(
    (a, b) => a.day.localeCompare(b.day),
  );
  const points = line.tracks.reduce((most, { points: each }) => Math.max(most, each.length), 0);
  const decided = line.decisions.map(({ day, move, sessionId }) => ({
    at: msOf(day),
    value: move === "build" ? 1 : move === "hold" ? 0 : -1,
    move,
    sessionId,
  }));
  return (
    <>
      {points < 3 && (
        <Soft>
          {points === 1
            ? "One session so far: a line begins with the next."
            : "Two sessions so far: enough to compare, too few for a trend."}
        </Soft>
      )}
      <Tracks ref={stack} role="group" aria-label="Over time, every point opens its session">
        {line.schools.length > 0 && (
          <TrackRow name={["School", "as chosen"]}>
            <SchoolBands line={line} />
          </TrackRow>
        )}
        {line.tracks.map((track) => (
          <TrackRow key={track.id} name={nameOf(track.id)}>
            <OneTrack track={track} line={line} marks={marks} isLast={false} units={units} onOpen={onOpen} />
          </TrackRow>
        ))}
        <TrackRow name={["Decided", "build, hold, ease"]}>
          <ResponsiveContainer width="100%" height={70}>
            <ComposedChart data={decided} margin={{ top: 8, right: 20, bottom: 0, left: 72 }} accessibilityLayer={false}>
              <XAxis
                dataKey="at"
                type="number"
                domain={[msOf(line.from) - DAY_MS, msOf(line.to) + DAY_MS]}
                tickFormatter={(ms: number) => dayText(dayOfMs(ms))}
                tick={{ fill: color.inkSoft, fontSize: 15 }}
                height={26}
                minTickGap={40}
              />
              <YAxis hide domain={[-1.4, 1.4]} />
              <Scatter
                dataKey="value"
                isAnimationActive={false}
                onClick={(point: unknown) => {
                  const { sessionId } = ((point as { payload?: { sessionId?: string } }).payload ?? {}) as { sessionId?: string };
                  if (sessionId) onOpen(sessionId);
                }}
                shape={(drawn: unknown) => {
                  const { cx = 0, cy = 0, payload } = drawn as { cx?: number; cy?: number; payload?: { move: DecisionMove } };
                  const move = payload?.move ?? "hold";
                  const d =
                    move === "build"
                      ? `M${cx - 6} ${cy + 5}h12l-6 -10z`
                      : move === "hold"
                        ? `M${cx - 6} ${cy - 2}h12v4h-12z`
                        : `M${cx - 6} ${cy - 5}h12l-6 10z`;
                  return <path d={d} fill={MOVE_COLOR[move]} cursor="pointer" />;
                }}
              />
              <Tooltip
                labelFormatter={(ms) => dayText(dayOfMs(Number(ms)))}
                formatter={(_value, _name, item) => [moveText((item.payload as { move: DecisionMove }).move), "Decided"]}
                isAnimationActive={false}
              />
            </ComposedChart>
          </ResponsiveContainer>
        </TrackRow>
      </Tracks>
      {said.length > 0 && (
        <p>
          <Soft>Marked: {said.map(({ day, label }) => `${dayText(day)} ${label}`).join("; ")}.</Soft>
        </p>
      )}
      <Row>
        <Button $tight onPress={() => stack.current && saveSvg(stack.current)}>
          Save as SVG
        </Button>
        <Button $tight onPress={() => stack.current && void savePng(stack.current)}>
          Save as PNG
        </Button>
      </Row>
    </>
  );
}
const TrackRow = ({ name: [name, unit], children }: { name: readonly [string, string]; children: React.ReactNode }) => (
  <>
    <div className="name">
      <strong>{name}</strong>
      <small>{unit}</small>
    </div>
    <div data-track={`${name}, ${unit}`}>{children}</div>
  </>
);
