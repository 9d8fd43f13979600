"use client";
import { useState } from "react";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import type { Day } from "../../core/day";
import { type Need, NEED_ORDER } from "../../core/studio/needs";
import type { ClientLine } from "../../core/record/facts/record";
import type { UnitSystem } from "../../core/units";
import { TextButton } from "../kit/button";
import { Card, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { changeText } from "../../words/basics/lever";
import { needStation, needText, needTitle } from "../../words/client/need";
import { color } from "../theme/tokens";
import type { Waiting } from "./today-rows";
import { WhenTold } from "./when-told";

const Group = styled.section<{ $isStop: boolean }>`
  padding-top: 10px;
  border-top: 1px solid ${color.fogDeep};
  &:first-of-type {
    border: 0;
  }
  h3 {
    font-size: 16px;
    color: ${({ $isStop }) => ($isStop ? color.oxide : color.ink)};
  }
  li + li {
    margin-top: 6px;
  }
`;
/** So many of one kind in view; the rest one tap away. */
const SHOWN = 3;

function Needy({
  line,
  need,
  waiting,
  today,
  units,
}: {
  line: ClientLine;
  need: Need;
  waiting: Promise<Waiting | null> | undefined;
  today: Day;
  units: UnitSystem;
}) {
  const { path, words } = needStation[need.code];
  return (
    <li>
      <strong>{line.name}</strong>{" "}
      <WhenTold told={need.code === "decision-waits" ? waiting : undefined} meanwhile={needText(need, today, units)}>
        {({ builds }) => builds.length > 0 && `has earned a build: ${builds.map((build) => buildText(build, units)).join("; ")}.`}
      </WhenTold>{" "}
      <Link href={`/clients/${line.id}/${path}`} aria-label={`${words}: ${line.name}, ${needTitle[need.code].toLowerCase()}`}>
        {words}
      </Link>
    </li>
  );
}
const buildText = ({ variationId, toVariationId, change }: Waiting["builds"][number], units: UnitSystem): string =>
  `${variationById(variationId).name}, ${changeText(change, variationById(toVariationId).name, units)}`;

function NeedGroup({ code, children }: { code: Need["code"]; children: readonly React.ReactNode[] }) {
  const [isOpen, setOpen] = useState(false);
  const more = children.length - SHOWN;
  return (
    <Group $isStop={code === "warning"} aria-label={needTitle[code]}>
      <h3>
        {needTitle[code]}
        {children.length > 1 && `: ${children.length}`}
      </h3>
      <ul>{isOpen ? children : children.slice(0, SHOWN)}</ul>
      {more > 0 && <TextButton onPress={() => setOpen(!isOpen)}>{isOpen ? "Fewer" : `${more} more`}</TextButton>}
    </Group>
  );
}

/** What asks for an eye before anybody comes: the kinds in the order of need, each client one tap from the answer. */
export function NeedsCard(props: {
  all: readonly { line: ClientLine; needs: readonly Need[] }[];
  waiting: Readonly<Record<string, Promise<Waiting | null>>>;
  today: Day;
  units: UnitSystem;
}) {
  const { all, waiting, today, units } = props;
  const groups = NEED_ORDER.map((code) => ({
    code,
    lines: all.flatMap(({ line, needs }) => needs.filter((need) => need.code === code).map((need) => ({ line, need }))),
  })).filter(({ lines }) => lines.length > 0);
  return (
    <Card aria-label="Before they come">
      <Stack $gap={10}>
        <Title>Before they come</Title>
        {groups.length === 0 && <Soft>Nothing asks for an eye: no sign, no flare, every morning told.</Soft>}
        {groups.map(({ code, lines }) => (
          <NeedGroup key={code} code={code}>
            {lines.map(({ line, need }, i) => (
              <Needy key={`${line.id} ${i}`} line={line} need={need} waiting={waiting[line.id]} today={today} units={units} />
            ))}
          </NeedGroup>
        ))}
      </Stack>
    </Card>
  );
}
