"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { FileTrigger, Form } from "react-aria-components";
import { v4 as newUuid } from "uuid";
import type { Day } from "../../core/day";
import { Button } from "../kit/button";
import { TextField } from "../kit/fields";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { sendFile } from "../kit/send-file";
import { DayField } from "../kit/day-field";
import { dayText } from "../../words/basics/day";

export interface LetterShown {
  id: string;
  day: Day;
  by: string;
  mediaType: string;
}
/** The clinician's own words: letters as pictures or PDFs, private to the studio. */
export function LettersCard({ clientId, letters }: { clientId: string; letters: readonly LetterShown[] }) {
  const router = useRouter();
  const [id, setId] = useState(() => newUuid());
  const [file, setFile] = useState<File | null>(null);
  const [day, setDay] = useState<Day | null>(null);
  const [by, setBy] = useState("");
  const [isSending, setSending] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const submit = async (): Promise<void> => {
    if (!file) return setProblem("Choose the letter first.");
    setSending(true);
    const wrong = await sendFile(`/api/letters/${clientId}/${id}`, { by, ...(day ? { day } : {}) }, file);
    setSending(false);
    setProblem(wrong);
    if (wrong !== null) return;
    setId(newUuid());
    setFile(null);
    setBy("");
    router.refresh();
  };
  return (
    <Card aria-label="Letters">
      <Title>Letters</Title>
      <ul>
        {letters.map((letter) => (
          <li key={letter.id}>
            <a href={`/api/letters/${clientId}/${letter.id}`} target="_blank" rel="noreferrer">
              {letter.by}, {dayText(letter.day)}
            </a>{" "}
            <Soft>{letter.mediaType === "application/pdf" ? "PDF" : "picture"}</Soft>
          </li>
        ))}
      </ul>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <Stack $gap={8}>
          <Row>
            <FileTrigger acceptedFileTypes={["image/*", "application/pdf"]} onSelect={(files) => setFile(files?.[0] ?? null)}>
              <Button>{file ? "Another file" : "A picture or PDF"}</Button>
            </FileTrigger>
            <Soft>{file ? file.name : "Private to the studio; place and camera are taken out of pictures."}</Soft>
          </Row>
          {file && (
            <>
              <TextField label="Who wrote it" value={by} onChange={setBy} />
              <DayField label="Date on the letter" value={day} onChange={setDay} />
              <Button type="submit" $tone="primary" isDisabled={isSending}>
                Keep the letter
              </Button>
            </>
          )}
          <Problem text={problem} />
        </Stack>
      </Form>
    </Card>
  );
}
