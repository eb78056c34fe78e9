"use client";
// The plan's today, from which dates such as +5 or mon are counted in every field.
import { createContext, useContext } from "react";
import type { Day } from "../core/calendar/day.ts";

export const TodayContext = createContext<Day>(0);

export const useToday = (): Day => useContext(TodayContext);
