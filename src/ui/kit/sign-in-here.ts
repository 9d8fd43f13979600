"use client";
import { createContext } from "react";

/** Asks whoever was signed out to sign in over the page; whether the same person did. Where nothing can ask, nobody did. */
export const SignInHere = createContext<() => Promise<boolean>>(async () => false);
