"use client";
// The labels of the control in a field: the id of its label, and the texts that describe it.
import { createContext, useContext } from "react";

export interface Labelled {
  id?: string;
  "aria-describedby"?: string;
  "aria-invalid"?: boolean;
}

export const LabelledContext = createContext<Labelled>({});

/** To be spread on the control of a field. */
export const useLabelled = (): Labelled => useContext(LabelledContext);
