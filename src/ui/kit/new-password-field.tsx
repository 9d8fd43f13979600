"use client";
import { PASSWORD_LENGTH } from "../../core/studio/team";
import { TextField } from "./fields";

/** A password that is chosen now, as long as the studio asks for. */
export function NewPasswordField(props: { label: string; hint: string; value: string; onChange: (value: string) => void }) {
  return (
    <TextField
      {...props}
      type="password"
      isRequired
      minLength={PASSWORD_LENGTH.min}
      maxLength={PASSWORD_LENGTH.max}
      autoComplete="new-password"
    />
  );
}
