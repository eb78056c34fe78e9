"use client";
// The gaps in the sums of money on a screen, with the way to fill them.
import type { MoneyGaps as Gaps } from "../../core/cost/moneyGaps.ts";
import Link from "../../ui/link.tsx";
import { Figure } from "../frame/screen.tsx";
import { useLinkTo } from "../scope/windowed.ts";
import { texts } from "./words.ts";

export function MoneyGaps({ missingRates, missingExchangeRates }: Gaps) {
  const linkTo = useLinkTo();
  return (
    <>
      {missingRates > 0 && (
        <Link href={linkTo("/rates")}>
          <Figure value={String(missingRates)} says={missingRates === 1 ? texts.rateMissing : texts.ratesMissing} isOver />
        </Link>
      )}
      {missingExchangeRates > 0 && (
        <Link href={linkTo("/rates")}>
          <Figure
            value={String(missingExchangeRates)}
            says={missingExchangeRates === 1 ? texts.exchangeRateMissing : texts.exchangeRatesMissing}
            isOver
          />
        </Link>
      )}
    </>
  );
}
