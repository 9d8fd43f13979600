import { ClientFloor } from "./client-floor";

export default async function FloorPage({ params }: { params: Promise<{ clientId: string }> }) {
  return <ClientFloor clientId={(await params).clientId} />;
}
