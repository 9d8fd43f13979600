"use client";
import styled, { createGlobalStyle } from "styled-components";
import { boxOf, PlainDrawn } from "../figure/plain-drawn";
import { Button } from "../kit/button";
import { Notice, Page, Row, Soft } from "../kit/layout";
import { Link } from "../kit/link";
import { SHEET_CALL, SHEET_RULES } from "../../words/training/sheet";
import type { HomeSheet } from "./home-sheet";

const Paper = createGlobalStyle`
  @media print {
    header, .no-print, section[aria-label="Limits in force"] { display: none !important; }
    body { background: #fff; }
    @page { size: A4; margin: 14mm; }
  }
`;
const Sheet = styled.article<{ $large: boolean }>`
  max-width: 800px;
  margin: 0 auto;
  padding: 24px;
  background: #fff;
  color: #000;
  font-size: ${({ $large }) => ($large ? "18pt" : "14pt")};
  line-height: 1.25;
  h2 {
    font-size: 1.1em;
  }
  li.item {
    display: grid;
    grid-template-columns: 120px 1fr;
    gap: 14px;
    padding: 10px 0;
    border-top: 1px solid #000;
    break-inside: avoid;
  }
  ol,
  ul {
    margin: 8px 0;
    padding: 0;
    list-style: none;
  }
  footer {
    padding-top: 8px;
    border-top: 2px solid #000;
    break-inside: avoid;
  }
`;

/** One sheet for home, as it is printed: figures, dose side by side, the rules that hold for all of it. */
export function SheetPage({ clientId, sheet, isLarge }: { clientId: string; sheet: HomeSheet; isLarge: boolean }) {
  return (
    <Page>
      <Paper />
      <Row className="no-print" style={{ justifyContent: "space-between", maxWidth: 800, margin: "0 auto 10px" }}>
        <Row>
          <Link href={`/clients/${clientId}/plan`}>Back to the plan</Link>
          <Link href={`/clients/${clientId}/sheet${isLarge ? "" : "?print=large"}`}>{isLarge ? "Usual print" : "Large print"}</Link>
        </Row>
        <Row>
          <Button onPress={() => window.print()}>Print</Button>
          <a href={`/api/clients/${clientId}/sheet${isLarge ? "?print=large" : ""}`}>As PDF</a>
        </Row>
      </Row>
      {sheet.leftOut.length > 0 && (
        <Notice className="no-print" style={{ maxWidth: 800, margin: "0 auto 10px" }}>
          Left out at home, for want of kit or because it is not open there without you: {sheet.leftOut.join(", ").toLowerCase()}.{" "}
          <Link href={`/clients/${clientId}/home-kit`}>What is at home</Link>
        </Notice>
      )}
      <Sheet $large={isLarge}>
        <h1 style={{ fontSize: "1.5em" }}>At home</h1>
        <p>
          {sheet.forWhom}: {sheet.days}.
        </p>
        {sheet.note && <p>{sheet.note}</p>}
        <ol>
          {sheet.lines.map((line) => (
            <li className="item" key={line.name}>
              <div>
                {line.figure && (
                  <PlainDrawn figure={line.figure} box={boxOf(line.figure)} label={`How ${line.name} is set up`} tone="paper" size={120} />
                )}
              </div>
              <div>
                <h2>{line.name}</h2>
                <p>{line.setUp}</p>
                {line.setting && <p>{line.setting}</p>}
                <p>
                  <strong>{[line.dose, line.first].filter(Boolean).join("; ")}</strong>
                </p>
                <p>{[line.tempo, line.rest, line.turn].filter(Boolean).join("; ")}</p>
                <p>{line.cues.join(". ")}.</p>
                <Soft style={{ color: "#000" }}>{line.why}</Soft>
              </div>
            </li>
          ))}
        </ol>
        {sheet.later.map((words) => (
          <p key={words}>{words}</p>
        ))}
        <footer>
          <ul>
            {SHEET_RULES.map((rule) => (
              <li key={rule}>• {rule}</li>
            ))}
          </ul>
          <p>
            <strong>{SHEET_CALL}</strong>
          </p>
        </footer>
      </Sheet>
    </Page>
  );
}
