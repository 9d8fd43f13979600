import type { Protocol } from "../../core/assess/protocols.data";
import { variationByCode } from "../../core/catalogue/catalogue";
import type { LimitRule } from "../../core/limits/limit";
import type { WarningSign } from "../../core/limits/clinician";
import type { ConditionKind } from "../../core/screen/conditions.data";
import type { ScreenRule } from "../../core/screen/rules.data";
import type { UnitSystem } from "../../core/units";
import { Card, Page, Soft, Stack, Title } from "../kit/layout";
import { warningText } from "../../words/client/warning";
import { limitRuleText } from "../../words/client/limit";
import { findingText } from "../../words/client/assess";
import { protocolName } from "../../words/basics/protocol";
import { conditionText, ruleText, sourceText, whomText } from "../../words/client/screen";

const weeks = (days: number): string => `${Math.round(days / 7)} weeks`;
function whenText({ fromDays, untilDays }: ScreenRule): string {
  const parts = [fromDays ? `from ${weeks(fromDays)}` : "", untilDays !== undefined ? `until ${weeks(untilDays + 1)}` : ""].filter(Boolean);
  return parts.length > 0 ? `, ${parts.join(" ")}` : "";
}

const namesOf = (codes: readonly string[]): string => codes.flatMap((code) => variationByCode(code)?.name.toLowerCase() ?? []).join(", ");
const closesText = (limit: LimitRule, units: UnitSystem): string =>
  limit.kind === "rows" ? namesOf(limit.codes) : limitRuleText(limit, "both", units).toLowerCase();

interface Props {
  signs: readonly WarningSign[];
  kinds: readonly ConditionKind[];
  rules: readonly ScreenRule[];
  protocols: readonly Protocol[];
  units: UnitSystem;
}
/** Every rule that may close something before training, with its wording and where it comes from. */
export function RulesPage({ signs, kinds, rules, protocols, units }: Props) {
  return (
    <Page>
      <Stack>
        <div>
          <h1 style={{ fontSize: 24 }}>Rules</h1>
          <Soft>
            Ponderis does not diagnose. These are usual cautions; local rules, scope of practice and the treating clinician come first.
          </Soft>
        </div>
        <Card aria-label="Warning signs">
          <Title>Warning signs</Title>
          <p>Any of them stops planning until a clinician&apos;s clearance is recorded. Common practice, no source.</p>
          <ul>
            {signs.map((sign) => (
              <li key={sign}>
                <strong>{warningText(sign)}.</strong> To the client: {whomText(sign)}
              </li>
            ))}
          </ul>
        </Card>
        {kinds.map(({ id }) => {
          const own = rules.filter(({ condition }) => condition === id);
          return (
            own.length > 0 && (
              <Card key={id} aria-label={conditionText(id)}>
                <Title>{conditionText(id)}</Title>
                <ul>
                  {own.map((rule) => (
                    <li key={rule.id}>
                      {ruleText(rule.id)}{" "}
                      {rule.limit && (
                        <strong>
                          Closes: {closesText(rule.limit, units)}
                          {whenText(rule)}
                          {rule.untilMeasured ? ", until it is measured otherwise" : ""}.{" "}
                        </strong>
                      )}
                      {rule.limit?.kind === "rows" && <>Instead: {namesOf(rule.limit.instead)}. </>}
                      {rule.asksFirst && <strong>No session before a clearance{whenText(rule)}. </strong>}
                      <Soft>{sourceText(rule.source)}</Soft>
                    </li>
                  ))}
                </ul>
              </Card>
            )
          );
        })}
        <Card aria-label="Measures">
          <Title>Measures</Title>
          <p>Where each comes from, what counts as a real change, and when it is due again.</p>
          <ul>
            {protocols.map((protocol) => (
              <li key={protocol.id}>
                {protocolName(protocol.id)}: <Soft>{sourceText(protocol.source)}</Soft>.{" "}
                {protocol.change ? (
                  <>
                    Real from {findingText(protocol, protocol.change.least, units)}, <Soft>{sourceText(protocol.change.source)}</Soft>.
                  </>
                ) : (
                  <Soft>No published error.</Soft>
                )}{" "}
                <Soft>Every {protocol.retestWeeks} weeks (◊).</Soft>
              </li>
            ))}
          </ul>
        </Card>
      </Stack>
    </Page>
  );
}
