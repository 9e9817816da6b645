import { useRef } from 'react';

/** A file to be read, asked for by words that are pressed. */
export function FileLink({
  children,
  label,
  accept,
  onFile,
}: {
  children: string;
  /** What the file is, for those who do not see the words. */
  label: string;
  /** Endings of files that are likely; what a file is, is known by how it begins. */
  accept: string;
  onFile: (file: File) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button
        type="button"
        className="min-h-11 underline underline-offset-4 print:hidden"
        onClick={() => input.current?.click()}
      >
        {children}
      </button>
      <FileInput ref={input} label={label} accept={accept} onFile={onFile} />
    </>
  );
}

/** The browser's own way to a file, out of sight. */
export function FileInput({
  ref,
  label,
  accept,
  onFile,
}: {
  ref: React.Ref<HTMLInputElement>;
  label: string;
  accept: string;
  onFile: (file: File) => void;
}) {
  return (
    <input
      ref={ref}
      type="file"
      className="sr-only"
      tabIndex={-1}
      aria-label={label}
      accept={accept}
      onChange={(event) => {
        const [file] = event.target.files ?? [];
        if (file) onFile(file);
        // The same file may be chosen again once it was corrected.
        event.target.value = '';
      }}
    />
  );
}
