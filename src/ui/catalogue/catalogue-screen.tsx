"use client";
import { useSearchParams } from "next/navigation";
import { useDeferredValue, useMemo, useState } from "react";
import styled from "styled-components";
import { CATALOGUE } from "../../core/catalogue/catalogue";
import { type Equipment, EQUIPMENT } from "../../core/kit/equipment";
import { isOwn } from "../../core/catalogue/own";
import { type Trained, TRAINED, type Variation } from "../../core/catalogue/variation";
import { CONDITION_KINDS } from "../../core/screen/conditions.data";
import { rulesClosing } from "../../core/screen/screen";
import type { Subject } from "../../core/templates/template";
import type { UnitSystem } from "../../core/units";
import { SelectField, TextField } from "../kit/fields";
import { Card, Columns, Page, Row, Soft, Stack } from "../kit/layout";
import { Link } from "../kit/link";
import { shelfName, trainedName } from "../../words/basics/catalogue";
import { kitName } from "../../words/basics/lever";
import { capital } from "../../words/basics/words";
import { conditionText } from "../../words/client/screen";
import { color, font, media, size } from "../theme/tokens";
import { findRows } from "./find";
import { RowDetail } from "./row-detail";
import { RowsFile } from "./rows-file";

const Item = styled(Link)<{ $picked: boolean; $closed: boolean }>`
  display: grid;
  grid-template-columns: 46px 1fr;
  gap: 2px 10px;
  min-height: 48px;
  padding: 6px 10px;
  border: ${({ $picked }) => ($picked ? `2px solid ${color.marine}` : `1px solid ${color.fogDeep}`)};
  ${({ $closed }) => $closed && "border-style: dashed;"}
  border-radius: ${size.radius};
  background: ${({ $closed }) => ($closed ? "transparent" : color.paper)};
  text-decoration: none;
  b {
    color: ${color.inkSoft};
    font: 700 15px ${font.head};
    font-variant-numeric: tabular-nums;
  }
  strong {
    font-family: ${font.head};
  }
`;
/** On a tablet held upright too, a row opens beside the list and not below its end. */
const Beside = styled(Columns)`
  ${media.upright} {
    grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  }
  ${media.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
/** What a row goes by in an address. */
const keyOf = ({ id, code }: Variation): string => code || id;
const ANY = "any";
type Any<T extends string> = T | typeof ANY;
const OWN = "own";
const SHELVES = [...new Set(CATALOGUE.map(shelfName))];
const options = <T extends string>(ids: readonly T[], label: (id: T) => string, any: string): { id: Any<T>; label: string }[] => [
  { id: ANY, label: any },
  ...ids.map((id) => ({ id, label: capital(label(id)) })),
];
const usedKit = EQUIPMENT.filter((item) => CATALOGUE.some(({ equipment }) => equipment.includes(item)));

/** Browse and search: by shelf, by what it trains, by kit, by condition, by free words with slips forgiven. */
export function CatalogueScreen({ subject, own, units }: { subject: Subject; own: readonly Variation[]; units: UnitSystem }) {
  const all = useMemo(() => [...own, ...CATALOGUE], [own]);
  const [words, setWords] = useState("");
  const search = useSearchParams();
  const [shelf, setShelf] = useState<string>(search.get("shelf") === OWN ? OWN : ANY);
  const [trains, setTrains] = useState<Any<Trained>>(ANY);
  const [kit, setKit] = useState<Any<Equipment>>(ANY);
  const [condition, setCondition] = useState<string>(ANY);
  const typed = useDeferredValue(words);
  const found = useMemo(
    () =>
      findRows(all, typed)
        .filter((row) => shelf === ANY || (shelf === OWN ? isOwn(row) : shelfName(row) === shelf))
        .filter((row) => trains === ANY || (row.trains[trains] ?? 0) >= 2)
        .filter((row) => kit === ANY || row.equipment.includes(kit)),
    [all, typed, shelf, trains, kit],
  );
  const closedBy = (row: Variation) => (condition === ANY ? [] : rulesClosing(row, condition));
  const shown = [...found.filter((row) => closedBy(row).length === 0), ...found.filter((row) => closedBy(row).length > 0)];
  const picked = all.find((row) => keyOf(row) === search.get("row")) ?? shown[0];
  return (
    <Page>
      <Row style={{ justifyContent: "space-between", marginBottom: 10 }}>
        <div>
          <h1 style={{ fontSize: 24 }}>Catalogue</h1>
          <Soft role="status">{shown.length === all.length ? `${all.length} ways to do it` : `${shown.length} of ${all.length}`}</Soft>
        </div>
        <RowsFile hasOwn={own.length > 0} />
      </Row>
      <Card aria-label="Find" style={{ marginBottom: 14 }}>
        <Row $gap={14} style={{ alignItems: "flex-end" }}>
          <TextField label="Find" value={words} onChange={setWords} />
          <SelectField
            label="Shelf"
            options={options([...(own.length > 0 ? [OWN] : []), ...SHELVES], (id) => (id === OWN ? "our own" : id), "Every shelf")}
            value={shelf}
            onChange={setShelf}
          />
          <SelectField label="Trains" options={options(TRAINED, trainedName, "Anything")} value={trains} onChange={setTrains} />
          <SelectField label="With" options={options(usedKit, kitName, "Any kit or none")} value={kit} onChange={setKit} />
          <SelectField
            label="For a client with"
            options={options(
              CONDITION_KINDS.map(({ id }) => id),
              conditionText,
              "Nothing known",
            )}
            value={condition}
            onChange={setCondition}
          />
        </Row>
      </Card>
      <Beside $template="minmax(0, 430px) minmax(0, 1fr)">
        <Stack as="nav" aria-label="Rows" $gap={5}>
          {shown.length === 0 && <Soft>Nothing found. Fewer words, or another shelf.</Soft>}
          {shown.map((row) => {
            const closing = closedBy(row);
            return (
              <Item
                key={row.id}
                href={`/catalogue?row=${keyOf(row)}`}
                replace
                scroll={false}
                aria-current={row.id === picked?.id ? "true" : undefined}
                $picked={row.id === picked?.id}
                $closed={closing.length > 0}
              >
                <b>{row.code || "ours"}</b>
                <span>
                  <strong>{row.name}</strong>
                  <br />
                  <Soft>{closing.length > 0 ? "closed for this condition, at some time or always" : row.purpose}</Soft>
                </span>
              </Item>
            );
          })}
        </Stack>
        {picked && (
          <div style={{ position: "sticky", top: 10 }}>
            <RowDetail key={picked.id} row={picked} closing={closedBy(picked)} subject={subject} units={units} />
          </div>
        )}
      </Beside>
    </Page>
  );
}
