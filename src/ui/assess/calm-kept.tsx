"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { logCalmSetAction } from "../../actions/assess";
import type { LimitedBy } from "../../core/limits/complaint";
import type { Side } from "../../core/mechanics/channels";
import type { UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { Card, Row, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { siteName } from "../../words/client/limit";
import { lengthText } from "../../words/basics/quantity";

interface Props {
  clientId: string;
  side: Side;
  heightM: number;
  limitedBy: LimitedBy;
  /** Sit-to-stands that stayed calm on the way down. */
  count: number;
  units: UnitSystem;
  onRefine: () => void;
}

/** What a calm seat has become, and what can be done with it at once: logged as a first set, refined, or gone on from. */
export function CalmKept({ clientId, side, heightM, limitedBy, count, units, onRefine }: Props) {
  const [repetitions, setRepetitions] = useState(count);
  const [painScore, setPainScore] = useState(NaN);
  const [isLogged, setLogged] = useState(false);
  const { take, isTaking, problem } = useStep(units);
  return (
    <Card $accent="brass" aria-label="The calm seat is kept">
      <Title>
        {lengthText(heightM, units)} is kept, {side}
      </Title>
      <p>It sets the ceiling of the {siteName[limitedBy]}, provisional until a set there was calm the next morning.</p>
      <Stack $gap={10}>
        {isLogged ? (
          <p role="status">Logged as today&apos;s first set. Tomorrow the morning after is asked.</p>
        ) : (
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              take(
                (stepId) => logCalmSetAction(clientId, { side, repetitions, painScore }, stepId),
                () => setLogged(true),
              );
            }}
          >
            <Row $gap={16} style={{ alignItems: "end" }}>
              <NumberField label="Sit-to-stands just done" minValue={1} maxValue={100} value={repetitions} onChange={setRepetitions} />
              <NumberField label="Pain" unit="0 to 10" minValue={0} maxValue={10} value={painScore} onChange={setPainScore} />
              <Button type="submit" $tone="primary" isDisabled={isTaking}>
                Log it as the first set
              </Button>
            </Row>
            <Problem text={problem} />
          </Form>
        )}
        <Row>
          <Link href={`/clients/${clientId}/fit`}>On to Fit</Link>
          <Button onPress={onRefine}>Add scales, shin lean, or how it was done</Button>
        </Row>
      </Stack>
    </Card>
  );
}
