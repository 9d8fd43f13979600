import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { passkeysAreHere } from "../../server/auth";
import { signedIn } from "../../server/session";
import { SignInForm } from "../../ui/shell/sign-in-form";

export const metadata: Metadata = { title: "Sign in" };

export default async function SignInPage() {
  if (await signedIn()) redirect("/");
  return <SignInForm passkeysAreHere={passkeysAreHere()} />;
}
