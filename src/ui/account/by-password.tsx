"use client";
import { useState, useTransition } from "react";
import { Form } from "react-aria-components";
import type { Guess } from "../../actions/second-step";
import { Button } from "../kit/button";
import { TextField } from "../kit/fields";
import { Notice, Stack } from "../kit/layout";

const WHY_NOT = {
  wrong: "That is not the present password.",
  "too-many": "The present password was wrong five times. Wait a quarter of an hour.",
} as const;

/** The present password, before anything about the door is changed. */
export function ByPassword<T>({
  ask,
  words,
  onDone,
}: {
  ask: (password: string) => Promise<Guess<T>>;
  words: string;
  onDone: (value: T) => void;
}) {
  const [password, setPassword] = useState("");
  const [why, setWhy] = useState<keyof typeof WHY_NOT | null>(null);
  const [isAsking, begin] = useTransition();
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        begin(async () => {
          const answer = await ask(password);
          setPassword("");
          setWhy(answer.ok ? null : answer.why);
          if (answer.ok) onDone(answer.value);
        });
      }}
    >
      <Stack>
        <TextField
          label="Present password"
          type="password"
          autoComplete="current-password"
          isRequired
          value={password}
          onChange={setPassword}
        />
        {why && (
          <Notice $tone="oxide" role="alert">
            {WHY_NOT[why]}
          </Notice>
        )}
        <Button type="submit" isDisabled={isAsking}>
          {words}
        </Button>
      </Stack>
    </Form>
  );
}
