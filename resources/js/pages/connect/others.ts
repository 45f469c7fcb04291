/** What needs no device of this computer: a network camera, a phone's place, a guest's place, a colour, a test picture. */
import { postJson } from '../../link/http';
import type { ShowSession } from '../../session';
import { base } from './base';

export function connectNetworkCamera(session: ShowSession) {
  return {
    ...base(session),
    address: '',
    user: '',
    password: '',
    begin(): void {
      this.open = true;
      this.name = 'Room';
    },
    /** Puts the address of the simulated camera in. */
    standIn(address: string, user: string, password: string): void {
      this.address = address;
      this.user = user;
      this.password = password;
    },
    async connect(): Promise<void> {
      await this.guarded(async () => {
        const found = await postJson<{ camera: string }>(`/shows/${session.show}/cameras`, { address: this.address, user: this.user, password: this.password });
        await session.link.edit('source.connect', { name: this.name, kind: 'network-camera', settings: { camera: found.camera } });
        this.password = '';
        this.end();
      });
    },
    end(): void {
      this.open = false;
      this.wrong = '';
    },
  };
}

export function connectPlace(session: ShowSession) {
  return {
    ...base(session),
    kind: 'phone',
    colour: '#2f5d7c',
    pattern: 'bars-hd',
    begin(kind: string): void {
      this.open = true;
      this.kind = kind;
      this.name = { phone: 'Phone', guest: 'Guest', colour: 'Colour', 'test-picture': 'Test picture' }[kind] ?? '';
    },
    async connect(): Promise<void> {
      await this.guarded(async () => {
        const settings = this.kind === 'colour' ? { colour: this.colour } : this.kind === 'test-picture' ? { pattern: this.pattern } : {};
        await session.link.edit('source.connect', { name: this.name, kind: this.kind, settings });
        this.end();
      });
    },
    end(): void {
      this.open = false;
      this.wrong = '';
    },
  };
}
