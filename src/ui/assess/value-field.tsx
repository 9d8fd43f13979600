"use client";
import { useState } from "react";
import styled from "styled-components";
import type { Protocol } from "../../core/assess/protocols.data";
import { type UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { CheckField, ChoiceField } from "../kit/fields";
import { Row, Soft, Stack } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { findingText } from "../../words/client/assess";
import { optionText, valueName } from "../../words/basics/protocol";
import { quantityEdge } from "./quantity-edge";
import { useStopwatch } from "./use-stopwatch";

const Big = styled.span`
  min-width: 5ch;
  font-size: 34px;
  font-weight: 700;
  font-variant-numeric: tabular-nums;
`;
const DIGITS_OF_HUNDREDTH = 100;
const toHundredth = (value: number): number => Math.round(value * DIGITS_OF_HUNDREDTH) / DIGITS_OF_HUNDREDTH;

interface Props {
  protocol: Protocol;
  distanceM: number;
  value: number;
  units: UnitSystem;
  /** Whose value: said in the field's name where there are two. */
  who: string;
  onChange: (value: number) => void;
}

/** Counts down from the protocol's time while rises are tapped. */
function CountDown({ fromS, value, onChange, who }: { fromS: number; value: number; onChange: (value: number) => void; who: string }) {
  const { elapsedS, isRunning, start, stop } = useStopwatch(fromS);
  return (
    <Row>
      <Big role="timer">{(fromS - elapsedS).toFixed(isRunning ? 1 : 0)} s</Big>
      {isRunning ? (
        <>
          <Button $tone="primary" onPress={() => onChange((Number.isFinite(value) ? value : 0) + 1)}>
            One more{who}
          </Button>
          <Button onPress={() => stop()}>Stop</Button>
        </>
      ) : (
        <Button
          onPress={() => {
            onChange(0);
            start();
          }}
        >
          Start {fromS} s{who}
        </Button>
      )}
    </Row>
  );
}

/** Runs until it is stopped; of several trials the best one counts. */
function Watch({ protocol, distanceM, value, onChange, who }: Omit<Props, "units">) {
  const mostS = protocol.timer?.kind === "up" ? (protocol.timer.mostS ?? protocol.max) : protocol.max;
  const { elapsedS, isRunning, start, stop } = useStopwatch(mostS);
  const [trials, setTrials] = useState<readonly number[]>([]);
  const isFull = elapsedS >= mostS;
  const end = (): void => {
    const seconds = toHundredth(stop());
    if (seconds === 0) return;
    const made = protocol.quantity === "speed" ? toHundredth(distanceM / seconds) : seconds;
    setTrials([...trials, made]);
    const best = protocol.better === "less" ? Math.min : Math.max;
    onChange(protocol.trials && Number.isFinite(value) ? best(value, made) : made);
  };
  return (
    <Row>
      <Big role="timer">{elapsedS.toFixed(1)} s</Big>
      {isRunning || (isFull && !trials.includes(mostS)) ? (
        <Button $tone="primary" onPress={end}>
          Stop{who}
        </Button>
      ) : (
        <Button onPress={start}>
          {protocol.trials && trials.length > 0 ? `Trial ${trials.length + 1}` : "Start"}
          {who}
        </Button>
      )}
      {protocol.trials && trials.length > 0 && <Soft>{trials.join(" s, ")} s: the best counts</Soft>}
    </Row>
  );
}

const STRICTER: Readonly<Record<string, string>> = { "knee-inside-foot": "knee-inside-toe" };
/** What was seen, one point each; the stricter of two includes the other. */
function SeenList({ options, onChange }: { options: readonly string[]; onChange: (value: number) => void }) {
  const [seen, setSeen] = useState<readonly string[] | null>(null);
  const set = (id: string, isOn: boolean): void => {
    const included = Object.keys(STRICTER).filter((stricter) => STRICTER[stricter] === id);
    const next = isOn
      ? [...new Set([...(seen ?? []), id, ...(STRICTER[id] ? [STRICTER[id]] : [])])]
      : (seen ?? []).filter((each) => each !== id && !included.includes(each));
    setSeen(next);
    onChange(next.length);
  };
  return (
    <Stack $gap={0}>
      {options.map((id) => (
        <CheckField key={id} label={optionText(id)} isSelected={seen?.includes(id) ?? false} onChange={(isOn) => set(id, isOn)} />
      ))}
      <CheckField
        label="None of these"
        isSelected={seen?.length === 0}
        onChange={() => {
          setSeen([]);
          onChange(0);
        }}
      />
    </Stack>
  );
}

/** One value of a protocol, entered the way it is measured: by watch, by taps, by what was seen, or as a number. */
export function ValueField({ protocol, distanceM, value, units, who, onChange }: Props) {
  const { quantity, options, timer, min, max, id } = protocol;
  if (quantity === "choice")
    return (
      <ChoiceField
        label={`${valueName(id)}${who}`}
        options={(options ?? []).map((option, i) => ({ id: String(i), label: optionText(option) }))}
        value={Number.isFinite(value) ? String(value) : null}
        onChange={(place) => onChange(Number(place))}
      />
    );
  if (quantity === "score" && options)
    return (
      <Stack $gap={4}>
        <SeenList options={options} onChange={onChange} />
        <p aria-live="polite">
          {valueName(id)}
          {who}: <strong>{Number.isFinite(value) ? findingText(protocol, value, units) : "not seen yet"}</strong>
        </p>
      </Stack>
    );
  if (quantity === "score")
    return (
      <ChoiceField
        label={`${valueName(id)}${who}`}
        options={Array.from({ length: max + 1 }, (_, i) => ({ id: String(i), label: String(i) }))}
        value={Number.isFinite(value) ? String(value) : null}
        onChange={(place) => onChange(Number(place))}
      />
    );
  const edge = quantityEdge(quantity, units);
  return (
    <Stack $gap={6}>
      {timer?.kind === "down" && <CountDown fromS={timer.fromS} value={value} onChange={onChange} who={who} />}
      {timer?.kind === "up" && <Watch {...{ protocol, distanceM, value, onChange, who }} />}
      <NumberField
        label={`${valueName(id)}${who}`}
        {...(edge.unit ? { unit: edge.unit } : {})}
        step={edge.step}
        minValue={edge.round(edge.fromSi(min))}
        maxValue={edge.round(edge.fromSi(max))}
        value={Number.isFinite(value) ? edge.round(edge.fromSi(value)) : NaN}
        onChange={(typed) => onChange(edge.toSi(typed))}
      />
    </Stack>
  );
}
