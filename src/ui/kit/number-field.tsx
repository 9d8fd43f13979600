"use client";
import { type RefObject, useEffect, useRef } from "react";
import { Button, Group, Input, NumberField as AriaNumberField, type NumberFieldProps } from "react-aria-components";
import styled from "styled-components";
import { color, size } from "../theme/tokens";
import { column, FieldLabel, Hint, Problem } from "./fields";

const NumberShell = styled(AriaNumberField)`
  ${column}
`;
const NumberBox = styled(Group)`
  display: flex;
  align-items: center;
  max-width: 190px;
  border: 1px solid ${color.inkSoft};
  border-radius: ${size.radius};
  background: ${color.paper};
  &[data-invalid] {
    border-color: ${color.oxide};
  }
  input {
    flex: 1;
    min-width: 0;
    min-height: ${size.target};
    padding: 8px 10px;
    border: 0;
    background: none;
    font-variant-numeric: tabular-nums;
  }
`;
const Stepper = styled(Button)`
  width: ${size.target};
  min-height: ${size.target};
  border: 0;
  background: none;
  font-size: 20px;
  cursor: pointer;
  &[data-disabled] {
    opacity: 0.35;
  }
`;

/** Both marks of a decimal are one here: a comma is no sign for thousands, typed or pasted. */
function takeComma(event: Event): void {
  const { data, target } = event as InputEvent;
  if (!data?.includes(",") || !(target instanceof HTMLInputElement)) return;
  event.preventDefault();
  event.stopPropagation();
  document.execCommand("insertText", false, data.replaceAll(",", "."));
}
function useComma(): RefObject<HTMLDivElement | null> {
  const ref = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const held = ref.current;
    held?.addEventListener("beforeinput", takeComma, true); // before the field itself reads it
    return () => held?.removeEventListener("beforeinput", takeComma, true);
  }, []);
  return ref;
}

/** A number with its unit. What is out of bounds is said, and stays as it was typed. */
export function NumberField({
  label,
  hint,
  unit,
  minValue = -Infinity,
  maxValue = Infinity,
  ...props
}: NumberFieldProps & { label: string; hint?: string; unit?: string }) {
  const ref = useComma();
  const bounds = `${label} is ${minValue} to ${maxValue}${unit && !/^\d/.test(unit) ? ` ${unit}` : ""}`;
  return (
    <NumberShell
      {...props}
      validationBehavior="aria"
      formatOptions={{ useGrouping: false, ...props.formatOptions }}
      validate={(value) => (value < minValue || value > maxValue ? `${bounds}.` : null)}
    >
      <FieldLabel>
        {label}
        {unit && <Hint as="span">, {unit}</Hint>}
      </FieldLabel>
      <NumberBox ref={ref}>
        <Stepper slot="decrement">−</Stepper>
        <Input />
        <Stepper slot="increment">+</Stepper>
      </NumberBox>
      {hint && <Hint slot="description">{hint}</Hint>}
      <Problem />
    </NumberShell>
  );
}
