// The year that is shown, with a step to the one before and to the one after.
import { ChevronLeft, ChevronRight } from "lucide-react";
import { IconButton } from "./button.tsx";

export function YearSteps({ year, onYear }: { year: number; onYear: (year: number) => void }) {
  return (
    <span className="inline-flex items-center">
      <IconButton label={`Show ${year - 1}`} onClick={() => onYear(year - 1)}>
        <ChevronLeft size={16} />
      </IconButton>
      <span className="font-title text-[17px]">{year}</span>
      <IconButton label={`Show ${year + 1}`} onClick={() => onYear(year + 1)}>
        <ChevronRight size={16} />
      </IconButton>
    </span>
  );
}
