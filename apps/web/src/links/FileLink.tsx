import { useImperativeHandle, useRef } from 'react';
import { useFileUpload } from '../pictures/useFileUpload.ts';

/** Asks for a file of one's own, gives it to the site and answers what it became. */
export function FileLink({ ref, onFile }: { ref: React.Ref<{ ask(): void }>; onFile(asset: string): void }) {
  const input = useRef<HTMLInputElement>(null);
  const { upload, busy } = useFileUpload();
  useImperativeHandle(ref, () => ({ ask: () => input.current?.click() }));
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".pdf,.zip,.txt,.csv,.ics,.mp4,.webm,.mp3,.m4a,.ogg,.wav,.vtt"
        aria-label="File to link to"
        className="sr-only"
        tabIndex={-1}
        onChange={async event => {
          const [file] = event.target.files ?? [];
          const id = file ? await upload(file) : null;
          if (input.current) input.current.value = '';
          if (id !== null) onFile(id);
        }}
      />
      {busy && (
        <p role="status" className="text-muted">
          Uploading…
        </p>
      )}
    </>
  );
}
