import type { Audience } from "../../core/studio/letter";

export const audienceName: Readonly<Record<Audience, string>> = { clinician: "A clinician", client: "The client", insurer: "An insurer" };
