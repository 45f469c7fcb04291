/** A file: an image, a PDF, a clip or music. What it is decides the server by looking at it. */
import { bringFile } from '../../link/upload';
import type { ShowSession } from '../../session';
import { base } from './base';

export function connectFile(session: ShowSession) {
  return {
    ...base(session),
    share: 0,
    file: '',
    async begin(file: File | undefined): Promise<void> {
      if (!file) return;
      this.open = true;
      this.file = file.name;
      this.share = 0;
      await this.guarded(async () => {
        if (file.size === 0) throw new Error(`“${file.name}” is empty (0 bytes). Save it again and choose it then.`);
        const { medium, kind, name } = await bringFile(session.show, file, (share) => (this.share = share));
        await session.link.edit('source.connect', { name: name.slice(0, 80) || 'File', kind, settings: { medium } });
        this.open = false;
      });
    },
    end(): void {
      this.open = false;
      this.wrong = '';
    },
  };
}
