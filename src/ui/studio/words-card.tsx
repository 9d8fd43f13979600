"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { keepWordsAction } from "../../actions/messages";
import { MOST_WORDS, type OwnWords, placesOf, WORDED_TEMPLATES, type WordedTemplate } from "../../core/studio/message";
import { Button, TextButton } from "../kit/button";
import { SelectField, TextField } from "../kit/fields";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { templateName, templateWords, USUAL_WORDS } from "../../words/studio/message";

const SAMPLE = { firstName: "Anna", visit: "Tuesday at 09:00" };

/** How the studio words what it sends; kept only as it may go out, and read as a client would. */
export function WordsCard(props: { own: OwnWords; isLead: boolean; studioName: string; trainerName: string }) {
  const { own, isLead, studioName, trainerName } = props;
  const [template, setTemplate] = useState<WordedTemplate>("reminder");
  const [words, setWords] = useState(own[template] ?? USUAL_WORDS[template]);
  const [isKept, setKept] = useState(false);
  const { take, isTaking, problem } = useStep();
  const write = (to: string): void => {
    setWords(to);
    setKept(false);
  };
  const isUsual = words.trim() === USUAL_WORDS[template];
  return (
    <Card aria-label="Words">
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          take(
            (stepId) => keepWordsAction({ template, words: isUsual ? "" : words }, stepId),
            () => setKept(true),
          );
        }}
      >
        <Stack>
          <Title>Words</Title>
          <SelectField
            label="How this is worded"
            options={WORDED_TEMPLATES.map((id) => ({ id, label: templateName[id] }))}
            value={template}
            onChange={(id) => {
              setTemplate(id);
              write(own[id] ?? USUAL_WORDS[id]);
            }}
          />
          <TextField label="Words" long isReadOnly={!isLead} maxLength={MOST_WORDS.text} value={words} onChange={write} />
          <Soft>
            {placesOf(template).join(", ")} are filled in for each client. So it reads: “
            {templateWords(template, { ...SAMPLE, trainerName: template === "reminder" ? studioName : trainerName }, { [template]: words })}
            ”
          </Soft>
          <Problem text={problem} />
          {isLead && (
            <Row>
              <Button type="submit" isDisabled={isTaking}>
                Keep so
              </Button>
              {!isUsual && <TextButton onPress={() => write(USUAL_WORDS[template])}>as usual</TextButton>}
              {isKept && <span role="status">Kept.</span>}
            </Row>
          )}
        </Stack>
      </Form>
    </Card>
  );
}
