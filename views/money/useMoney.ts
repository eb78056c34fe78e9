"use client";
// Binds the address to a question about money: what is shown, of what, in which periods.
import { useQueryStates } from "nuqs";
import { useMemo } from "react";
import { usePlanFacts } from "../scope/facts.ts";
import { usePlanWindow } from "../scope/windowed.ts";
import { grainOf, type MoneyParams, moneyParams, moneyQueryOf } from "./moneyParams.ts";

/** @param set The parameters that the screen fixes, regardless of the address. */
export function useMoneyParams(set: Partial<MoneyParams> = none) {
  const window = usePlanWindow();
  const { horizon } = usePlanFacts();
  const [stated, setParams] = useQueryStates(moneyParams, { shallow: true });
  const params = useMemo(() => ({ ...stated, ...set }), [stated, set]);
  const query = useMemo(() => moneyQueryOf(params, window, horizon), [params, window, horizon]);
  return {
    params,
    setParams: (set: Partial<MoneyParams>) => void setParams(set),
    query,
    grain: grainOf(params, window),
  };
}

const none = {};
