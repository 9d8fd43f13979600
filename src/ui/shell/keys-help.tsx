"use client";
import { useState } from "react";
import styled from "styled-components";
import { Button, Key, TextButton } from "../kit/button";
import { Ask } from "../kit/why";
import { CheckField } from "../kit/fields";
import { setKeysOn, useKeys, useKeysOn } from "./use-keys";

const KEYS = [
  { keys: [","], what: "Fit: ease by one step" },
  { keys: ["."], what: "Fit: build by one step" },
  { keys: ["Enter"], what: "Fit: keep this rung" },
  { keys: ["←", "→"], what: "Any lever or handle in focus: easier or harder by one" },
  { keys: ["Space"], what: "Floor: start and stop the tempo" },
  { keys: ["0", "…", "9"], what: "Floor: pain of this set; ends and saves it" },
  { keys: ["E"], what: "Floor: ease now" },
  { keys: ["?"], what: "These keys" },
];
const List = styled.dl`
  margin-bottom: 14px !important;
`;

/** The keys of this device, and whether single ones count on it. */
export function KeysHelp() {
  const [isOpen, setOpen] = useState(false);
  const isOn = useKeysOn();
  useKeys({ "?": () => setOpen(true) });
  return (
    <>
      <TextButton aria-label="Keyboard keys" onPress={() => setOpen(true)}>
        ? keys
      </TextButton>
      <Ask title="Keys" isOpen={isOpen} onClose={() => setOpen(false)}>
        <List>
          {KEYS.map(({ keys, what }) => (
            <div key={what} style={{ display: "contents" }}>
              <dt>
                {keys.map((key) => (
                  <Key key={key}>{key}</Key>
                ))}
              </dt>
              <dd>{what}</dd>
            </div>
          ))}
        </List>
        <CheckField label="Single keys work on this device" isSelected={isOn} onChange={setKeysOn} />
        <Button onPress={() => setOpen(false)}>Close</Button>
      </Ask>
    </>
  );
}
