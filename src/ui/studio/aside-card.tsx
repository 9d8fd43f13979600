"use client";
import { dropAsideAction } from "../../actions/team";
import type { Aside } from "../../core/studio/team";
import { TextButton } from "../kit/button";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { asideText } from "../../words/studio/archive";
import { When } from "../kit/studio-clock";
import { makerText } from "../../words/studio/team";

/** What cannot be right, in an archive that was read in or where it stands: nothing of it is drawn, and it goes when somebody says so. */
export function AsideCard({ aside, names }: { aside: readonly Aside[]; names: Readonly<Record<string, string>> }) {
  const { take, isTaking, problem } = useStep();
  return (
    <Card aria-label="Left out">
      <Stack>
        <Title>Left out</Title>
        <Soft>
          These cannot be right, and no page reads them. What was read in can be put right where it came from and read in again; or take it
          away.
        </Soft>
        <ul>
          {aside.map((each) => (
            <li key={each.id}>
              <Row style={{ justifyContent: "space-between" }}>
                <span>
                  {asideText(each)}{" "}
                  <Soft>
                    <When at={each.at} />, {makerText(each.by, names)}
                  </Soft>
                  <details>
                    <summary>What it says</summary>
                    <code style={{ overflowWrap: "anywhere" }}>{each.words}</code>
                  </details>
                </span>
                <TextButton isDisabled={isTaking} onPress={() => take((stepId) => dropAsideAction({ id: each.id }, stepId))}>
                  take it away
                </TextButton>
              </Row>
            </li>
          ))}
        </ul>
        <Problem text={problem} />
      </Stack>
    </Card>
  );
}
