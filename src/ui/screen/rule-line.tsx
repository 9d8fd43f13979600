"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { setRuleAsideAction } from "../../actions/screen";
import type { Day } from "../../core/day";
import { type Limit, limitState } from "../../core/limits/limit";
import type { OwnRule } from "../../core/screen/screen";
import type { UnitSystem } from "../../core/units";
import { Button, TextButton } from "../kit/button";
import { TextField } from "../kit/fields";
import { Row, Soft, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { dayText } from "../../words/basics/day";
import { limitRuleText } from "../../words/client/limit";
import { ruleText, sourceText } from "../../words/client/screen";

interface Props {
  clientId: string;
  own: OwnRule;
  limit: Limit | null;
  today: Day;
  units: UnitSystem;
}

/** One rule that holds today: what it says, what it closes, where it comes from; set aside only with a reason. */
export function RuleLine({ clientId, own, limit, today, units }: Props) {
  const [isOpen, setOpen] = useState(false);
  const isAside = limit !== null && limitState(limit, today) === "lifted";
  return (
    <div>
      <p style={isAside ? { textDecoration: "line-through" } : undefined}>{ruleText(own.rule.id)}</p>
      <Row>
        {limit && <strong>{limitRuleText(limit.rule, limit.side, units)}</strong>}
        {own.untilDay && <Soft>until {dayText(own.untilDay)}</Soft>}
        <Soft>{sourceText(own.rule.source)}</Soft>
        {limit && !isAside && (
          <TextButton aria-label={`Set aside: ${ruleText(own.rule.id)}`} onPress={() => setOpen(!isOpen)}>
            set aside
          </TextButton>
        )}
      </Row>
      {isAside && limit.lift && (
        <p>
          Set aside by {limit.lift.by}, {dayText(limit.lift.day)}: {limit.lift.reason}
        </p>
      )}
      {isOpen && limit && !isAside && <AsideForm clientId={clientId} limitId={limit.id} onDone={() => setOpen(false)} />}
    </div>
  );
}

function AsideForm({ clientId, limitId, onDone }: { clientId: string; limitId: string; onDone: () => void }) {
  const [reason, setReason] = useState("");
  const { take, isTaking, problem } = useStep();
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        take((stepId) => setRuleAsideAction(clientId, { limitId, reason }, stepId), onDone);
      }}
    >
      <Stack>
        <TextField label="Why it is set aside for this client" long isRequired value={reason} onChange={setReason} />
        <Problem text={problem} />
        <Button type="submit" isDisabled={isTaking}>
          Set it aside
        </Button>
      </Stack>
    </Form>
  );
}
