"use client";
import { useState } from "react";
import { FileTrigger } from "react-aria-components";
import { takeInRowsAction } from "../../actions/own-rows";
import { Button } from "../kit/button";
import { Row, Soft } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";

/** Own rows out and in as a file; what is wrong with one is said, and then none is taken in. */
export function RowsFile({ hasOwn }: { hasOwn: boolean }) {
  const { take, isTaking, problem } = useStep();
  const [said, setSaid] = useState<string | null>(null);
  const takeIn = async (file: File | undefined): Promise<void> => {
    setSaid(null);
    if (!file) return;
    let rows: unknown;
    try {
      rows = JSON.parse(await file.text());
    } catch {
      setSaid("This file is not JSON: it cannot be read as rows.");
      return;
    }
    take(
      (stepId) => takeInRowsAction(rows, stepId),
      ({ count }) => setSaid(`${count} ${count === 1 ? "row" : "rows"} taken in.`),
    );
  };
  return (
    <div>
      <Row>
        {hasOwn && (
          <a href="/api/rows" download>
            our own as a file
          </a>
        )}
        <a href="/api/rows/schema">what such a file looks like</a>
        <FileTrigger acceptedFileTypes={["application/json", ".json"]} onSelect={(files) => void takeIn(files?.[0])}>
          <Button isDisabled={isTaking}>Take in a file of rows</Button>
        </FileTrigger>
      </Row>
      {said && <Soft role="status">{said}</Soft>}
      <Problem text={problem} />
    </div>
  );
}
