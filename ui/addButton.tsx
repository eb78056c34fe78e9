// The button of a screen that adds what the screen lists; the key N does the same.
import { Plus } from "lucide-react";
import { Button } from "./button.tsx";

export function AddButton({ children, onAdd }: { children: string; onAdd: () => void }) {
  return (
    <Button look="main" onClick={onAdd}>
      <Plus size={15} /> {children} <kbd className="font-sans opacity-75">N</kbd>
    </Button>
  );
}
