"use client";
import { useRouter } from "next/navigation";
import { FileTrigger, ProgressBar } from "react-aria-components";
import { Button } from "../kit/button";
import { CheckField, ChoiceField } from "../kit/fields";
import { Card, LinkList, Notice, Row, Soft, Stack, Title } from "../kit/layout";
import { Ask } from "../kit/why";
import { leftOutText } from "../../words/studio/archive";
import { type ImportLine, useImport } from "./use-import";

function stateText({ preview, problem, isDone }: ImportLine): string {
  if (problem) return problem;
  if (isDone) return "taken in";
  if (!preview) return "";
  const { state, newFacts, otherwise, namesake, leftOut } = preview;
  const entries = newFacts === 1 ? "1 entry" : `${newFacts} entries`;
  const what = state === "same" ? "all of it is here already" : state === "new" ? `new here, ${entries}` : `${entries} more than here`;
  const more = [
    ...(otherwise > 0
      ? [
          otherwise === 1
            ? "1 entry reads otherwise here and stays as it is"
            : `${otherwise} entries read otherwise here and stay as they are`,
        ]
      : []),
    ...(leftOut.length > 0 ? [leftOutText(leftOut)] : []),
    ...(namesake ? ["somebody else here has that name"] : []),
  ];
  return [what, ...more].join("; ");
}

/** What asks for an eye stands first: refused, then differing, then new; who is here already last. */
const rankOf = ({ problem, preview }: ImportLine): number => {
  if (problem) return 0;
  if (!preview) return 3;
  if (preview.detailsDiffer || preview.otherwise > 0 || preview.namesake || preview.leftOut.length > 0) return 1;
  return preview.state === "same" ? 3 : 2;
};

/** The studio as a file and back: what is new, more or refused is said before anything is taken. */
export function ArchiveCard({ isLead }: { isLead: boolean }) {
  const { state, read, take, stop, leave, change } = useImport(isLead);
  const router = useRouter();
  const { step, lines, problem, through } = state;
  const inOrder = step === "preview" || step === "done" ? lines.toSorted((a, b) => rankOf(a) - rankOf(b)) : lines;
  const wanted = lines.filter(({ isWanted, problem: each }) => isWanted && each === null).length;
  return (
    <Card aria-label="Export and import">
      <Stack>
        <Title>Export and import</Title>
        <LinkList>
          {isLead && (
            <li>
              <a href="/api/export/studio" download>
                The whole studio as JSON
              </a>
            </li>
          )}
          <li>
            <a href="/api/export/schema" download="archive.schema.json">
              What such a file looks like (JSON Schema)
            </a>
          </li>
        </LinkList>
        <Soft>One client, their log as CSV and their summary as FHIR are under their Review and Letter.</Soft>
        {problem && step === "idle" && <Notice $tone="oxide">{problem}</Notice>}
        <FileTrigger acceptedFileTypes={["application/json", ".json"]} onSelect={(files) => void read(files?.[0])}>
          <Button>Read an archive</Button>
        </FileTrigger>
      </Stack>
      <Ask
        title="What this archive says"
        isOpen={step !== "idle"}
        onClose={() => (step === "importing" || step === "reading" ? stop() : leave())}
      >
        <Stack>
          {(step === "reading" || step === "importing") && (
            <ProgressBar aria-label={step === "reading" ? "Looked at" : "Taken in"} value={through} maxValue={lines.length}>
              {() => (
                <p>
                  {step === "reading" ? "Looking at" : "Taking in"} {through + 1} of {lines.length}
                </p>
              )}
            </ProgressBar>
          )}
          {problem && <Notice>{problem}</Notice>}
          {lines.length === 0 && step === "preview" && <p>There is no client in it.</p>}
          <ul aria-label="Clients of the archive" style={{ maxHeight: "44vh", overflow: "auto" }}>
            {inOrder.map((line) => (
              <li key={line.client.id} style={{ marginBottom: 8 }}>
                {step === "preview" && line.problem === null && line.preview?.state !== "same" ? (
                  <CheckField
                    label={line.client.name}
                    isSelected={line.isWanted}
                    onChange={(isWanted) => change(line.client.id, { isWanted })}
                  />
                ) : (
                  <strong>{line.client.name}</strong>
                )}
                : {stateText(line)}
                {step === "preview" && line.isWanted && line.preview?.detailsDiffer && (
                  <ChoiceField
                    label="Name, goal and details differ. Whose hold?"
                    options={[
                      { id: "here", label: "those here" },
                      { id: "file", label: "those of the file" },
                    ]}
                    value={line.detailsOf}
                    onChange={(detailsOf) => change(line.client.id, { detailsOf })}
                  />
                )}
              </li>
            ))}
          </ul>
          <Row>
            {step === "preview" && (
              <Button $tone="primary" isDisabled={wanted === 0} onPress={() => void take().then(() => router.refresh())}>
                {wanted === 1 ? "Take 1 client in" : `Take ${wanted} clients in`}
              </Button>
            )}
            {(step === "reading" || step === "importing") && <Button onPress={stop}>Stop</Button>}
            {(step === "preview" || step === "done") && <Button onPress={leave}>{step === "done" ? "Done" : "Leave it"}</Button>}
          </Row>
        </Stack>
      </Ask>
    </Card>
  );
}
