"use client";
import type { ReactNode } from "react";
import {
  Checkbox,
  FieldError,
  Button as AriaButton,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  Popover,
  Radio,
  RadioGroup,
  SearchField,
  Select,
  SelectValue,
  Text,
  TextArea,
  TextField as AriaTextField,
  type TextFieldProps,
} from "react-aria-components";
import { ChevronDown } from "lucide-react";
import styled, { css } from "styled-components";
import { popover, popoverLine } from "./popover";
import { color, size } from "../theme/tokens";

export const column = css`
  display: flex;
  flex-direction: column;
  gap: 4px;
`;
const box = css`
  min-height: ${size.target};
  padding: 8px 10px;
  border: 1px solid ${color.inkSoft};
  border-radius: ${size.radius};
  background: ${color.paper};
  &[data-invalid] {
    border-color: ${color.oxide};
  }
`;
export const FieldLabel = styled(Label)`
  font-weight: 700;
`;
export const Hint = styled(Text)`
  color: ${color.inkSoft};
`;
export const Problem = styled(FieldError)`
  color: ${color.oxide};
`;
const TextShell = styled(AriaTextField)`
  ${column}
`;
const TextInput = styled(Input)`
  ${box}
`;
const LongInput = styled(TextArea)`
  ${box}
  min-height: 72px;
  field-sizing: content;
`;

export function TextField({ label, hint, long, ...props }: TextFieldProps & { label: string; hint?: string; long?: boolean }) {
  return (
    <TextShell {...props}>
      <FieldLabel>{label}</FieldLabel>
      {long ? <LongInput /> : <TextInput />}
      {hint && <Hint slot="description">{hint}</Hint>}
      <Problem />
    </TextShell>
  );
}

const ChoiceShell = styled(RadioGroup)`
  ${column}
`;
const Choices = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
`;
const FindShell = styled(SearchField)`
  ${column}
  input::-webkit-search-cancel-button {
    display: none;
  }
`;
/** Narrows a list by words; Escape empties it. */
export function FindField({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
  return (
    <FindShell aria-label={label} value={value} onChange={onChange}>
      <TextInput placeholder={label} />
    </FindShell>
  );
}

export const Choice = styled(Radio)`
  display: inline-flex;
  align-items: center;
  min-height: ${size.target};
  padding: 8px 14px;
  border: 1px solid ${color.inkSoft};
  border-radius: ${size.radius};
  background: ${color.paper};
  cursor: pointer;
  &[data-selected] {
    border-color: ${color.marine};
    background: ${color.marine};
    color: ${color.paper};
  }
`;

export interface Option<T extends string> {
  id: T;
  label: ReactNode;
}

const Shut = styled.details`
  summary {
    min-height: ${size.target};
    padding: 10px 0;
    cursor: pointer;
    text-decoration: underline;
  }
`;
/** What may be said and mostly is not: behind one line. */
export const Disclosed = ({ label, children }: { label: string; children: ReactNode }) => (
  <Shut>
    <summary>{label}</summary>
    {children}
  </Shut>
);

/** One of a few, all in view. */
export function ChoiceField<T extends string>(props: {
  label: string;
  options: readonly Option<T>[];
  value: T | null;
  onChange: (value: T) => void;
}) {
  return (
    <ChoiceShell value={props.value} onChange={(value) => props.onChange(value as T)}>
      <FieldLabel>{props.label}</FieldLabel>
      <Choices>
        {props.options.map(({ id, label }) => (
          <Choice key={id} value={id}>
            {label}
          </Choice>
        ))}
      </Choices>
    </ChoiceShell>
  );
}

const SelectShell = styled(Select)`
  ${column}
`;
const SelectButton = styled(AriaButton)`
  ${box}
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  cursor: pointer;
`;
const Options = styled(Popover)`
  min-width: var(--trigger-width);
  max-height: 340px !important;
  overflow: auto;
  ${popover}
`;
const OptionItem = styled(ListBoxItem)`
  ${popoverLine}
  &[data-selected] {
    font-weight: 700;
  }
`;

interface SelectProps<T extends string> {
  label: string;
  options: readonly { id: T; label: string }[];
  /** Null where nothing is chosen yet. */
  value: T | null;
  onChange: (value: T) => void;
}

const InlineShell = styled(SelectShell)`
  flex-direction: row;
  align-items: center;
  gap: 8px;
`;
const InlineButton = styled(SelectButton)`
  min-height: 32px;
  padding: 2px 8px;
`;

/** One of many, in a line of words. */
export function InlineSelect<T extends string>({ label, options, value, onChange }: SelectProps<T>) {
  return (
    <InlineShell value={value} onChange={(key) => key !== null && onChange(String(key) as T)}>
      <Label>{label}</Label>
      <InlineButton>
        <SelectValue />
        <ChevronDown size={16} aria-hidden />
      </InlineButton>
      <Options>
        <ListBox items={options}>{(option) => <OptionItem id={option.id}>{option.label}</OptionItem>}</ListBox>
      </Options>
    </InlineShell>
  );
}

/** One of many. */
export function SelectField<T extends string>(props: SelectProps<T>) {
  return (
    <SelectShell value={props.value} placeholder="choose" onChange={(key) => key !== null && props.onChange(String(key) as T)}>
      <FieldLabel>{props.label}</FieldLabel>
      <SelectButton>
        <SelectValue />
        <ChevronDown size={18} aria-hidden />
      </SelectButton>
      <Options>
        <ListBox items={props.options}>{({ id, label }) => <OptionItem id={id}>{label}</OptionItem>}</ListBox>
      </Options>
    </SelectShell>
  );
}

const CheckShell = styled(Checkbox)`
  display: inline-flex;
  align-items: center;
  gap: 10px;
  min-height: ${size.target};
  cursor: pointer;
  .mark {
    flex: none;
    display: grid;
    place-items: center;
    width: 24px;
    height: 24px;
    border: 2px solid ${color.marine};
    border-radius: 3px;
    background: ${color.paper};
    font-weight: 700;
  }
  &[data-selected] .mark {
    flex: none;
    background: ${color.marine};
    color: ${color.paper};
  }
`;

export function CheckField({
  label,
  isSelected,
  onChange,
}: {
  label: string;
  isSelected: boolean;
  onChange: (isSelected: boolean) => void;
}) {
  return (
    <CheckShell isSelected={isSelected} onChange={onChange}>
      <span className="mark" aria-hidden>
        {isSelected ? "✓" : ""}
      </span>
      {label}
    </CheckShell>
  );
}
