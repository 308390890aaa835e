import { Button, FileButton } from '@mantine/core';
import { useState, type ReactNode } from 'react';

const MOST_BYTES = 5_500_000;

/** A file's bytes in base64, as a request carries them. */
const read = (file: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result).replace(/^[^,]*,/, ''));
    reader.onerror = () => reject(new Error('The file cannot be read.'));
    reader.readAsDataURL(file);
  });

interface Props {
  readonly label: string;
  readonly isBusy: boolean;
  /** Endings of what may be chosen; a table where nothing is said. */
  readonly accept?: string;
  /** Given the file; what the server refuses is shown by the page. */
  readonly onFile: (file: { readonly fileName: string; readonly content: string }) => Promise<unknown>;
}

/** A button that reads a file: a table (CSV or XLSX) where nothing else is said. */
export function FileChoice({ label, isBusy, accept = '.csv,.txt,.tsv,.xlsx', onFile }: Props): ReactNode {
  const [problem, setProblem] = useState<string | null>(null);
  const choose = async (file: File | null): Promise<void> => {
    if (!file) return;
    if (file.size > MOST_BYTES) return setProblem('The file is larger than 5 MB. Split it into several.');
    setProblem(null);
    let content: string;
    try {
      content = await read(file);
    } catch {
      return setProblem('The file cannot be read.');
    }
    await onFile({ fileName: file.name.slice(0, 120), content }).catch(() => undefined);
  };
  return (
    <>
      <FileButton onChange={(file) => void choose(file)} accept={accept}>
        {(props) => (
          <Button {...props} variant="outline" loading={isBusy}>
            {label}
          </Button>
        )}
      </FileButton>
      {problem && (
        <span className="tag-wrong" role="alert">
          {problem}
        </span>
      )}
    </>
  );
}
