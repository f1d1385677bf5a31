import { RequestProblem } from './requestProblem.ts';

const megabytes = (bytes: number): string => String(Number((bytes / 1024 / 1024).toFixed(1)));

/** A file on its way to the server, as it is; one that is too large is refused here, before a byte of it is sent. */
export function fileToSend(file: File, most: number) {
  if (file.size > most)
    throw new RequestProblem(
      {
        code: 'too-large',
        message: `The file has ${megabytes(file.size)} MB. Up to ${megabytes(most)} MB can be uploaded.`,
      },
      413,
    );
  return {
    body: file,
    bodySerializer: (body: Blob) => body,
    headers: { 'content-type': 'application/octet-stream' },
  };
}
