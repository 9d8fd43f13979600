"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { changeStudioAction } from "../../actions/team";
import { Button } from "../kit/button";
import { SelectField, TextField } from "../kit/fields";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";

const spoken = (part: string): string => part.replaceAll("_", " ");
const partsOf = (zone: string): [region: string, place: string] => {
  const at = zone.indexOf("/");
  return at < 0 ? [zone, ""] : [zone.slice(0, at), zone.slice(at + 1)];
};

/** The studio's name and the zone its days and hours go by: a region, then a place in it. */
export function StudioCard({ studioName, timeZone, zones }: { studioName: string; timeZone: string; zones: readonly string[] }) {
  const [name, setName] = useState(studioName);
  const [zone, setZone] = useState(timeZone);
  const [isKept, setKept] = useState(false);
  const { take, isTaking, problem } = useStep();
  const known = zones.includes(timeZone) ? zones : [...zones, timeZone];
  const [region, place] = partsOf(zone);
  const regions = [...new Set(known.map((each) => partsOf(each)[0]))];
  const places = known.filter((each) => partsOf(each)[0] === region).map((each) => partsOf(each)[1]);
  const change = (to: string): void => {
    setZone(to);
    setKept(false);
  };
  return (
    <Card aria-label="Name and time">
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          take(
            (stepId) => changeStudioAction({ name, timeZone: zone }, stepId),
            () => setKept(true),
          );
        }}
      >
        <Stack>
          <Title>Name and time</Title>
          <TextField
            label="Name of the studio"
            isRequired
            maxLength={120}
            value={name}
            onChange={(to) => {
              setName(to);
              setKept(false);
            }}
          />
          <Row style={{ alignItems: "end" }}>
            <SelectField
              label="Region"
              options={regions.map((id) => ({ id, label: spoken(id) }))}
              value={region}
              onChange={(to) => change(known.find((each) => partsOf(each)[0] === to) ?? zone)}
            />
            {places.some((each) => each !== "") && (
              <SelectField
                label="Clock of"
                options={places.map((id) => ({ id, label: spoken(id) }))}
                value={place}
                onChange={(to) => change(`${region}/${to}`)}
              />
            )}
          </Row>
          <Soft>Days begin and end by it from now on; what was kept stays on its day.</Soft>
          <Problem text={problem} />
          <Row>
            <Button type="submit" isDisabled={isTaking || (name === studioName && zone === timeZone)}>
              Keep so
            </Button>
            {isKept && <span role="status">Kept.</span>}
          </Row>
        </Stack>
      </Form>
    </Card>
  );
}
