/** Brings a file to the server piece by piece. After a break, or when the same file is chosen again, it goes on where it stopped. */
import { Upload, type DetailedError } from 'tus-js-client';
import { postJson } from './http';

const PIECE = 4 * 1024 * 1024;

export interface Arrived {
  medium: string;
  kind: 'still' | 'deck' | 'clip';
  name: string;
  pages: number | null;
  length_ms: number | null;
}

function token(): string {
  return document.querySelector<HTMLMetaElement>('meta[name=csrf-token]')?.content ?? '';
}

/** @param onProgress share that has arrived, 0 to 1 */
export async function bringFile(show: string, file: File, onProgress: (share: number) => void): Promise<Arrived> {
  const url = await new Promise<string>((resolve, reject) => {
    const upload = new Upload(file, {
      endpoint: `/shows/${show}/uploads`,
      chunkSize: PIECE,
      retryDelays: [500, 1500, 4000, 8000, 15000],
      removeFingerprintOnSuccess: true,
      metadata: { filename: file.name },
      headers: { 'X-CSRF-TOKEN': token(), Accept: 'application/json' },
      // What the server refuses it will refuse again; only silence is worth another try.
      onShouldRetry: (failure) => ![413, 415, 422, 403, 419].includes((failure as Partial<DetailedError>).originalResponse?.getStatus() ?? 0),
      onProgress: (sent, all) => onProgress(all > 0 ? sent / all : 0),
      onError: (failure) => reject(new Error(sentenceOf(failure))),
      onSuccess: () => resolve(upload.url ?? ''),
    });
    void upload.findPreviousUploads().then((earlier) => {
      if (earlier[0]) upload.resumeFromPreviousUpload(earlier[0]);
      upload.start();
    });
  });
  return postJson<Arrived>(`/shows/${show}/media`, { upload: url.split('/').at(-1) });
}

function sentenceOf(failure: Error | DetailedError): string {
  const body = 'originalResponse' in failure ? failure.originalResponse?.getBody() : undefined;
  try {
    const { message } = JSON.parse(body ?? '') as { message?: string };
    if (message !== undefined) return message;
  } catch {
    // no sentence came
  }
  return 'The file did not arrive. Choose it again: it goes on where it stopped.';
}
