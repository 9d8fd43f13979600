"use client";
import { useMemo } from "react";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import { type OursPart, oursIn } from "../../core/catalogue/ours.data";
import { SUBSTITUTES } from "../../core/kit/equipment";
import type { Trained, Variation } from "../../core/catalogue/variation";
import { DEFAULT_KIT } from "../../core/kit/kit";
import type { ScreenRule } from "../../core/screen/rules.data";
import { ask, AT_THE_POSE } from "../../core/templates/ask";
import { leversOf, startSetting, templateOf, parametersOf } from "../../core/templates/form";
import { poseOf } from "../../core/templates/pose";
import type { Subject } from "../../core/templates/template";
import type { UnitSystem } from "../../core/units";
import { Figure } from "../figure/figure";
import { doseText } from "../fit/dose-panel";
import { Pictogram } from "../figure/pictogram";
import { posedOf } from "../figure/row-poses.data";
import { Card, Notice, Row, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { oftenText, shelfName, tagsText, trainedName } from "../../words/basics/catalogue";
import { kitName, leverName, leverValueText } from "../../words/basics/lever";
import { capital } from "../../words/basics/words";
import { ruleText } from "../../words/client/screen";
import { color } from "../theme/tokens";

const Bars = styled.ul`
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 4px 12px;
  padding: 0;
  list-style: none;
  li {
    display: contents;
  }
  i {
    align-self: center;
    height: 8px;
    border-radius: 2px;
    background: ${color.marineSoft};
  }
`;
const Facts = styled.dl`
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 4px 14px;
  margin: 0;
  dt {
    font-weight: 700;
  }
  dd {
    margin: 0;
  }
`;

/** A row as it starts: its figure, or the drawn pose of the row it was made from where the model has none. */
export function Drawn({ row, subject, units }: { row: Variation; subject: Subject; units: UnitSystem }) {
  const setting = useMemo(() => startSetting(subject, row), [subject, row]);
  const pose = useMemo(() => poseOf(subject, row, setting), [subject, row, setting]);
  const asked = useMemo(() => ask(subject, row, setting, AT_THE_POSE), [subject, row, setting]);
  const posed = posedOf(row);
  if (posed) return <Pictogram posed={posed} label={`How ${row.name} is done; not to scale`} />;
  if (!pose.ok || !asked.ok) return null;
  return (
    <Figure
      subject={subject}
      form={row}
      name={row.name}
      setting={setting}
      pose={pose}
      demands={asked.demands}
      units={units}
      increments={DEFAULT_KIT.increments}
    />
  );
}

const OURS_NAMES: Readonly<Record<OursPart, string>> = {
  "set-up": "set-up",
  cues: "cues",
  faults: "faults",
  trains: "what it trains",
  easier: "how it is made easier",
  harder: "how it is made harder",
  dose: "dose",
  for: "for whom",
  "not-for": "not for whom",
  neighbours: "neighbours",
};

function Neighbours({ title, ids }: { title: string; ids: readonly string[] }) {
  if (ids.length === 0) return null;
  return (
    <>
      <dt>{title}</dt>
      <dd>
        {ids.map(variationById).map(({ code, name }, i) => (
          <span key={code}>
            {i > 0 && ", "}
            <Link href={`/catalogue?row=${code}`} replace scroll={false}>
              {name.toLowerCase()}
            </Link>
          </span>
        ))}
      </dd>
    </>
  );
}

/** One row of the catalogue, whole: how it looks, how it is set up and said, what it trains and what it leads to. */
export function RowDetail({
  row,
  closing,
  ...drawn
}: {
  row: Variation;
  closing: readonly ScreenRule[];
  subject: Subject;
  units: UnitSystem;
}) {
  const { subject, units } = drawn;
  const ours = oursIn(row.code);
  const trained = (Object.entries(row.trains) as [Trained, number][]).toSorted(([, a], [, b]) => b - a);
  const standIns = row.equipment.flatMap((item) =>
    SUBSTITUTES[item]?.length ? [`${kitName(item)}: ${SUBSTITUTES[item].map(kitName).join(" or ")}`] : [],
  );
  return (
    <Card aria-label={row.name}>
      <Stack>
        <Row style={{ justifyContent: "space-between", alignItems: "baseline" }}>
          <Title>{row.name}</Title>
          <Soft>
            {row.code || `ours, from ${row.basedOn ?? ""}`}, {shelfName(row).toLowerCase()}
          </Soft>
        </Row>
        {!row.isKeptOut && (
          <Link href={`/catalogue/own?${row.basedOn ? `row=${row.id}` : `from=${row.code}`}`}>
            {row.basedOn ? "change or retire it" : "make our own from it"}
          </Link>
        )}
        {row.alsoCalled.length > 0 && <Soft>Also called {row.alsoCalled.join(", ")}</Soft>}
        {row.isKeptOut && <Notice $tone="oxide">Known, and kept out of what this trade&apos;s clients do.</Notice>}
        {closing.map(({ id }) => (
          <Notice key={id} $tone="oxide">
            {ruleText(id)}
          </Notice>
        ))}
        <div style={{ height: 270 }}>
          <Drawn row={row} {...drawn} />
        </div>
        <Soft>
          {row.template === "no-model"
            ? "A drawn pose: the body model does not compute this one."
            : "Drawn on a middling body, as it starts."}
        </Soft>
        <p>
          <strong>{row.purpose}.</strong> To the client: “{row.why}”
        </p>
        <p>{row.setUp}</p>
        <ul>
          {row.cues.map((cue) => (
            <li key={cue}>{cue}</li>
          ))}
          {row.cautions.map((caution) => (
            <li key={caution}>
              <strong>Mind:</strong> {caution}
            </li>
          ))}
        </ul>
        <Bars aria-label="What it trains">
          {trained.map(([id, score]) => (
            <li key={id}>
              <span>{capital(trainedName(id))}</span>
              <i style={{ width: `${score * 33}%` }} role="img" aria-label={`${score} of 3`} />
            </li>
          ))}
        </Bars>
        <Facts>
          <dt>Is</dt>
          <dd>{tagsText(row.tags)}</dd>
          <dt>Starts with</dt>
          <dd>
            {doseText(row.dose, row.startsBy)}; {oftenText(row.often)}
            {row.lowering === "none" ? "; no lowering" : row.lowering === "fast" ? "; fast" : ""}
          </dd>
          <dt>Needs</dt>
          <dd>
            {row.equipment.length > 0 ? row.equipment.map(kitName).join(", ") : "nothing"}
            {standIns.length > 0 && <Soft> (instead of {standIns.join("; ")})</Soft>}
          </dd>
          {row.template !== "no-model" && (
            <>
              <dt>Can be set</dt>
              <dd>
                {leversOf(subject, row)
                  .map(
                    ({ lever, min, max }) =>
                      `${leverName(lever).toLowerCase()} ${leverValueText(lever, min, units)} to ${leverValueText(lever, max, units)}`,
                  )
                  .join(", ")}
              </dd>
              <dt>Cannot say</dt>
              <dd>{templateOf(row).cannotSay(parametersOf(row))}</dd>
            </>
          )}
          {ours.length > 0 && (
            <>
              <dt>Our own ◊</dt>
              <dd>{ours.map((part) => OURS_NAMES[part]).join(", ")}: reasoned by us, yours to change</dd>
            </>
          )}
          <Neighbours title="Easier" ids={row.easier} />
          <Neighbours title="Harder" ids={row.harder} />
        </Facts>
        <div>
          <strong>What may be seen, and what to do</strong>
          <ul>
            {row.faults.map(({ id, sign, cause, response }) => (
              <li key={id}>
                {capital(sign)}: {cause}. {response}
              </li>
            ))}
          </ul>
        </div>
      </Stack>
    </Card>
  );
}
