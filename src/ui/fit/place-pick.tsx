"use client";
import { useRouter } from "next/navigation";
import type { Place } from "../../core/kit/equipment";
import { InlineSelect } from "../kit/fields";
import { Row } from "../kit/layout";
import { Link } from "../kit/link";

const PLACES = [
  { id: "studio", label: "the studio" },
  { id: "home", label: "home" },
  { id: "travel", label: "on the way" },
] as const;

/** Where it is set up: another place fits anew, from what stands there. */
export function PlacePick({ clientId, place }: { clientId: string; place: Place }) {
  const router = useRouter();
  return (
    <Row style={{ justifyContent: "space-between" }}>
      <InlineSelect
        label="At"
        options={PLACES}
        value={place}
        onChange={(next: Place) => router.replace(`/clients/${clientId}/fit${next === "studio" ? "" : `?place=${next}`}`)}
      />
      {place === "home" && <Link href={`/clients/${clientId}/home-kit`}>what is there</Link>}
    </Row>
  );
}
