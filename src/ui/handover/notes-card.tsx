"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { v4 as newUuid } from "uuid";
import { keepNoteAction } from "../../actions/team";
import { saidToBeBy } from "../../core/record/facts/read-in";
import type { Day } from "../../core/day";
import { type Note, SEEN_BY, type SeenBy } from "../../core/studio/team";
import { Button, TextButton } from "../kit/button";
import { ChoiceField, TextField } from "../kit/fields";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { When } from "../kit/studio-clock";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { makerText, seenByText } from "../../words/studio/team";

/** Notes on a client: private unless it is said otherwise; a client reads only what is meant for them. */
export function NotesCard(props: {
  clientId: string;
  notes: readonly Note[];
  names: Readonly<Record<string, string>>;
  self: string;
  today: Day;
}) {
  const { clientId, notes, names, self, today } = props;
  const [noteId, setNoteId] = useState(() => newUuid());
  const [seenBy, setSeenBy] = useState<SeenBy>("me");
  const [words, setWords] = useState("");
  const { take, isTaking, problem } = useStep();
  return (
    <Card aria-label="Notes">
      <Stack>
        <Title>Notes</Title>
        {notes.length === 0 && <Soft>No note yet.</Soft>}
        <ul>
          {notes.map((note) => (
            <li key={note.id} style={{ marginBottom: 8 }}>
              <strong>{makerText(note.by, names)}</strong>{" "}
              <Soft>
                <When at={note.at} />, for {seenByText[note.seenBy]}
              </Soft>
              <p style={{ whiteSpace: "pre-line" }}>{note.words}</p>
              {(saidToBeBy(note.by) === self || note.seenBy !== "me") && (
                <TextButton
                  isDisabled={isTaking}
                  onPress={() =>
                    take((stepId) =>
                      keepNoteAction(clientId, { id: note.id, seenBy: note.seenBy, words: note.words, endedDay: today }, stepId),
                    )
                  }
                >
                  put this note away
                </TextButton>
              )}
            </li>
          ))}
        </ul>
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            take(
              (stepId) => keepNoteAction(clientId, { id: noteId, seenBy, words, endedDay: null }, stepId),
              () => {
                setWords((now) => (now === words ? "" : now)); // what was typed meanwhile stays
                setNoteId(newUuid());
              },
            );
          }}
        >
          <Stack>
            <TextField label="A note" long value={words} onChange={setWords} />
            <Row style={{ alignItems: "end", justifyContent: "space-between" }}>
              <ChoiceField label="For" options={SEEN_BY.map((id) => ({ id, label: seenByText[id] }))} value={seenBy} onChange={setSeenBy} />
              <Button type="submit" isDisabled={isTaking || words.trim() === ""}>
                Keep the note
              </Button>
            </Row>
            <Problem text={problem} />
          </Stack>
        </Form>
      </Stack>
    </Card>
  );
}
