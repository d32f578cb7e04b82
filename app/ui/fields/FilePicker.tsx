import { useRef } from "react";
import { Button, type ButtonProps } from "~/ui/Button";

interface FilePickerProps extends Pick<ButtonProps, "label" | "look" | "disabled"> {
  /** What the file is, for those who listen. */
  what: string;
  /** Kinds of file, as the browser takes them. */
  accept: string;
  onFile: (file: File) => void;
}

/** A button that asks the device for a file. The same one may be chosen again. */
export function FilePicker({ what, accept, onFile, ...button }: FilePickerProps) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={picker}
        type="file"
        accept={accept}
        aria-label={what}
        className="hidden"
        onChange={(e) => {
          const [file] = e.currentTarget.files ?? [];
          e.currentTarget.value = "";
          if (file) onFile(file);
        }}
      />
      <Button {...button} onPress={() => picker.current?.click()} />
    </>
  );
}
