// Money as people type it: an amount, or a quantity at a price each.
import { productMinorUnits } from "../core/values/units.ts";
import { readAmount } from "./amount.ts";

const MOST = 1e9;

/** "1200", "1,200.50" or "4 × 250": in money with at most two decimals; null where it means nothing. */
export function readMoney(text: string): { value: number } | null {
  const parts = readFactors(text, 0);
  return parts && { value: parts.amount };
}

export interface TypedAmount {
  amount: number;
  /** Only where the amount was typed as a quantity at a price each. */
  quantity?: number;
  unitPrice?: number;
}

/** "-250", "4 × 250" or "2 × -80.5": an amount with what it was typed as, below 0 for a credit; null where it means nothing. */
export const readTypedAmount = (text: string): { value: TypedAmount } | null => {
  const value = readFactors(text, -MOST);
  return value && { value };
};

export function writeTypedAmount({ amount, quantity, unitPrice }: TypedAmount): string {
  return quantity === undefined || unitPrice === undefined ? amount.toFixed(2) : `${quantity} × ${unitPrice}`;
}

function readFactors(text: string, least: number): TypedAmount | null {
  const parts = text.split(/[×x*]/i);
  const price = readAmount(plainText(parts[parts.length - 1]), least, MOST)?.value;
  if (price === undefined || parts.length > 2) return null;
  if (parts.length === 1) return isCents(price) ? { amount: Math.round(price * 100) / 100 } : null;
  const quantity = readAmount(plainText(parts[0]), 0, MOST)?.value;
  if (quantity === undefined || Math.abs(quantity * price) > MOST || !isCents(quantity * price)) return null;
  return { amount: productMinorUnits(quantity, price) / 100, quantity, unitPrice: price };
}

const isCents = (value: number): boolean => Math.abs(value * 100 - Math.round(value * 100)) < 1e-6;

/** Commas between groups of three are no decimal commas; a minus may be the typographic one. */
function plainText(text: string): string {
  const plain = text.replace("−", "-");
  return /^\s*-?\d{1,3}(,\d{3})+(\.\d+)?\s*$/.test(plain) ? plain.replaceAll(",", "") : plain;
}

export const MONEY_HINT = "An amount such as 1200, or 4 × 250";
export const CREDIT_HINT = `${MONEY_HINT}; −250 is a credit`;
