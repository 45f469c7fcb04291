/** What is wrong with a signal is said on the rig, on the desk and in the line-up: through the real capture path. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { asItWas, becomeHost, card, expect, test } from '../support/rhetorix';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

/** What a camera with its lens cap on sends: black with a little noise, and the maker's name in a corner. */
function lensCap(): string {
  const file = join(mkdtempSync(join(tmpdir(), 'rhetorix-cap-')), 'cap.y4m');
  execFileSync('ffmpeg', ['-v', 'error', '-y', '-f', 'lavfi', '-i', 'color=black:size=640x360:rate=30:duration=3', '-vf', 'noise=alls=3:allf=t,drawbox=x=540:y=20:w=70:h=40:color=gray:t=fill,format=yuv420p', file]);
  return file;
}

test('says on rig, desk and line-up that a camera is black though it has a logo on it', async ({ newDesk, api }) => {
  const { page: desk } = await newDesk(['--use-fake-device-for-media-stream=device-count=1,fps=30', '--use-fake-ui-for-media-stream', `--use-file-for-fake-video-capture=${lensCap()}`]);
  await becomeHost(desk);
  await desk.getByRole('link', { name: 'Rig' }).click();
  await desk.getByTestId('connect-camera').click();
  await desk.getByLabel('Name in this show').first().fill('Capped');
  await desk.getByTestId('camera-add').click();
  const capped = desk.locator('[data-testid=source-card]', { hasText: 'Capped' });
  await expect(capped.getByTestId('source-state')).toHaveText('black');
  await expect(capped.getByTestId('source-measured')).toContainText('% of it is black');
  await expect(capped.getByTestId('source-wrong')).toContainText('lens cap');
  await desk.getByRole('link', { name: 'Desk' }).click();
  await expect(card(desk, await api.pictureId('Capped'))).toContainText('Capped: black');
  await desk.getByRole('link', { name: 'Line-up' }).click();
  const first = desk.getByTestId('check').first();
  await expect(first).toHaveAttribute('data-verdict', 'not well');
  await expect(first).toContainText('Capped');
  // the row on the computer speaks of program too, where the computer is too slow
  await expect(desk.getByTestId('check').filter({ has: desk.getByTitle('Program', { exact: true }) })).toContainText('frames a second');
  await expect(desk.getByTestId('check').filter({ hasText: 'Slides and Notes' })).toContainText('12 pages and 11 pages');
});

for (const [what, hidden] of [['a tab, by its capture handle', false], ['a whole screen, by the code that blinks in it', true]] as const) {
  test(`recognises the desk when it is shared into itself, and refuses it: ${what}`, async ({ newDesk, api }) => {
    const { page: desk } = await newDesk(['--use-fake-device-for-media-stream=device-count=1', '--auto-accept-camera-and-microphone-capture', '--auto-accept-this-tab-capture']);
    await becomeHost(desk);
    await desk.getByRole('link', { name: 'Rig' }).click();
    // The browser really captures this very tab; for the second case it only hides that it is a tab.
    await desk.evaluate((hidden) => {
      const media = navigator.mediaDevices;
      const share = media.getDisplayMedia.bind(media);
      media.getDisplayMedia = async (wish) => {
        const stream = await share({ ...wish, preferCurrentTab: true } as DisplayMediaStreamOptions);
        const track = stream.getVideoTracks()[0] as MediaStreamTrack & { getCaptureHandle?: unknown };
        const settings = track.getSettings.bind(track);
        if (hidden) Object.assign(track, { getCaptureHandle: undefined, getSettings: () => ({ ...settings(), displaySurface: 'monitor' }) });
        return stream;
      };
    }, hidden);
    await desk.getByTestId('connect-screen').click();
    await desk.getByTestId('screen-add').click();
    await expect(desk.getByText('This is the desk itself, which would mirror itself without end')).toBeVisible();
    expect(Object.values((await api.state()).book.sources).some(({ kind }) => kind === 'screen')).toBe(false);
  });
}
