import { redirect } from "next/navigation";

export default async function ClientPage({ params }: { params: Promise<{ clientId: string }> }) {
  redirect(`/clients/${(await params).clientId}/fit`);
}
