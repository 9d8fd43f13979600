"use client";
import { useState } from "react";
import { FileTrigger } from "react-aria-components";
import styled from "styled-components";
import { changeVisitsAction } from "../../actions/visits";
import type { Visit } from "../../core/week/visit";
import { MOST_VISITS_AT_ONCE } from "../../schemas/visit.schema";
import { Button, TextButton } from "../kit/button";
import { InlineSelect } from "../kit/fields";
import { Notice, Row, Soft, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { Ask } from "../kit/why";
import { dayText } from "../../words/basics/day";
import { entryProblemText, repeatText } from "../../words/training/visit";
import { color } from "../theme/tokens";
import { keptOf, preview, type Previewed } from "./calendar-preview";

const MOST_BYTES = 4_000_000;
const Lines = styled.ul`
  display: grid;
  gap: 8px;
  max-height: 46vh;
  overflow: auto;
  li {
    padding-bottom: 8px;
    border-bottom: 1px solid ${color.fogDeep};
  }
`;
const NOBODY = "nobody";

/** A calendar file read on this tablet: each entry beside what the studio has, whose it is decided by the person. */
export function ReadCalendar(props: { clients: readonly { id: string; name: string }[]; visits: readonly Visit[]; timeZone: string }) {
  const { clients, visits, timeZone } = props;
  const [rows, setRows] = useState<readonly Previewed[] | null>(null);
  const [unread, setUnread] = useState<string | null>(null);
  const { take, isTaking, problem } = useStep();
  const read = async (file: File | undefined): Promise<void> => {
    setUnread(null);
    if (!file) return;
    if (file.size > MOST_BYTES) return setUnread("This file is larger than 4 MB. Save a shorter span of time from your calendar.");
    const { MOST_ENTRIES, visitsFrom } = await import("../../formats/visits");
    const entries = visitsFrom(await file.text(), timeZone);
    if (entries === "too-many")
      setUnread(`This calendar has more than ${MOST_ENTRIES} entries. Save a shorter span of time from your calendar, and read that.`);
    else if (entries) setRows(preview(entries, clients, visits));
    else setUnread("This is no calendar file that can be read (it ends in .ics).");
  };
  const kept = rows ? keptOf(rows) : [];
  const options = [{ id: NOBODY, label: "nobody here" }, ...clients.map(({ id, name }) => ({ id, label: name }))];
  return (
    <>
      <FileTrigger acceptedFileTypes={["text/calendar", ".ics"]} onSelect={(files) => void read(files?.[0])}>
        <TextButton>Read a calendar file</TextButton>
      </FileTrigger>
      {unread && <Notice $tone="oxide">{unread}</Notice>}
      <Ask title="What this calendar says" isOpen={rows !== null} onClose={() => setRows(null)}>
        {rows && (
          <Stack>
            {rows.length === 0 && <p>There is no entry in it.</p>}
            <Lines aria-label="Entries">
              {rows.map((row, i) => (
                <li key={i}>
                  <strong>{row.title || "No title"}</strong>{" "}
                  {"problem" in row ? (
                    <Soft>
                      {dayText(row.day)}: left out, {entryProblemText[row.problem]}
                    </Soft>
                  ) : (
                    <>
                      {dayText(row.visit.day)} {row.visit.at}, {row.visit.minutes} min, {repeatText(row.visit.everyWeeks).toLowerCase()}.{" "}
                      <strong>{row.clientId === null ? "Left out" : row.isSame ? "Here already" : row.known ? "Changed" : "New"}</strong>
                      <InlineSelect
                        label="Whose"
                        options={options}
                        value={row.clientId ?? NOBODY}
                        onChange={(id) =>
                          setRows(
                            rows.map((each, at) =>
                              at === i && "visit" in each
                                ? { ...each, clientId: id === NOBODY ? null : id, isSame: each.isSame && each.known?.clientId === id }
                                : each,
                            ),
                          )
                        }
                      />
                    </>
                  )}
                </li>
              ))}
            </Lines>
            {kept.length > MOST_VISITS_AT_ONCE && (
              <Notice $tone="oxide">More than {MOST_VISITS_AT_ONCE} at once: read a shorter file.</Notice>
            )}
            <Problem text={problem} />
            <Row>
              <Button
                $tone="primary"
                isDisabled={isTaking || kept.length === 0 || kept.length > MOST_VISITS_AT_ONCE}
                onPress={() =>
                  take(
                    (stepId) => changeVisitsAction({ kept, ended: [] }, stepId),
                    () => setRows(null),
                  )
                }
              >
                {kept.length === 1 ? "Keep 1 visit" : `Keep ${kept.length} visits`}
              </Button>
              <Button onPress={() => setRows(null)}>Leave it</Button>
            </Row>
          </Stack>
        )}
      </Ask>
    </>
  );
}
