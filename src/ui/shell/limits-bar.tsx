"use client";
import type { UnitSystem } from "../../core/units";
import styled from "styled-components";
import { endedBy, type Warning } from "../../core/progress/warning";
import type { Day } from "../../core/day";
import { isTelling } from "../../core/assess/range-limits";
import { isBinding, type Limit, limitState } from "../../core/limits/limit";
import { Link } from "../kit/link";
import { warningText } from "../../words/client/warning";
import { overdueText } from "../../words/basics/protocol";
import { limitText } from "../../words/client/limit";
import { color, size } from "../theme/tokens";

const Bar = styled.section`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 6px 18px;
  border-bottom: 1px solid ${color.fogDeep};
  background: ${color.bone};
`;
const Chip = styled.li<{ $clinician: boolean }>`
  padding: 3px 11px;
  border: 1px solid ${({ $clinician }) => ($clinician ? color.oxide : color.fogDeep)};
  border-left-width: ${({ $clinician }) => ($clinician ? "5px" : "1px")};
  border-radius: ${size.radius};
  background: ${color.paper};
`;
const Alarm = styled(Link)`
  padding: 3px 11px;
  border-radius: ${size.radius};
  background: ${color.oxide};
  color: ${color.paper};
  font-weight: 700;
`;
const List = styled.ul`
  display: contents; /* one flow with the words before and after it: no line is lost to them */
`;
const Right = styled.span`
  margin-left: auto;
  color: ${color.inkSoft};
`;

/** What binds this client today, always in view. */
export function LimitsBar(props: {
  clientId: string;
  limits: readonly Limit[];
  warnings: readonly Warning[];
  today: Day;
  units: UnitSystem;
  last: string;
  /** Measures that are due again. */
  overdueCount: number;
  /** What looks like poor form and is the joint's own. */
  ownLimit: string;
}) {
  const { clientId, limits, warnings, today, units, last, overdueCount, ownLimit } = props;
  const inForce = limits.filter((limit) => isBinding(limit, today));
  const texts = new Set<string>();
  const binding = inForce.filter((limit) => {
    const text = limitText(limit, today, units);
    if (limit.rule.kind === "rows" || texts.has(text) || !isTelling(limit, inForce)) return false;
    texts.add(text); // two rules may come to the same words
    return true;
  });
  const leftOut = new Set(inForce.flatMap(({ rule }) => (rule.kind === "rows" ? rule.codes : []))).size;
  return (
    <Bar aria-label="Limits in force">
      {warnings.length > 0 && (
        <div role="alert">
          <Alarm href={`/clients/${clientId}/limits`}>
            {warnings.some(({ sign }) => endedBy(sign) === "clinician")
              ? `Warning sign open: ${[...new Set(warnings.map(({ sign }) => warningText(sign)))].join("; ")}`
              : "Closed: something stored cannot be read"}
          </Alarm>
        </div>
      )}
      <span>Limits</span>
      {binding.length === 0 && leftOut === 0 && <span>none in force</span>}
      <List>
        {binding.map((limit) => (
          <Chip key={limit.id} $clinician={limit.owner.kind === "clinician"}>
            {limitState(limit, today) === "ask" ? "Ask: " : ""}
            {limitText(limit, today, units)}
          </Chip>
        ))}
        {leftOut > 0 && (
          <Chip $clinician={false}>
            <Link href={`/clients/${clientId}/limits`}>{leftOut} exercises left out, by rule</Link>
          </Chip>
        )}
        {ownLimit !== "" && <Chip $clinician={false}>Own limit, not to be corrected: {ownLimit}</Chip>}
      </List>
      <Right>
        {overdueCount > 0 && (
          <>
            <Link href={`/clients/${clientId}/assess`} aria-label={overdueText(overdueCount)}>
              {overdueCount} due again
            </Link>
            .{" "}
          </>
        )}
        {last}
      </Right>
    </Bar>
  );
}
