/** Actions of the desk on keys, MIDI notes and knobs, and buttons of a game pad, for one person. */
import { expect, test } from '../support/rhetorix';

test.beforeEach(async ({ api }) => {
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
  await api.send('back');
  await api.begin('Lectern', 'Slides');
});
test.afterEach(async ({ api }) => {
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
  await api.begin('Lectern', 'Bench');
});

test('is bound by note, knob and key, for this person alone', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/controls`);
  const row = (action: string) => desk.locator(`[data-testid=control][data-action="${action}"]`);
  await row('cut').getByTestId('control-key').click();
  await desk.keyboard.press('y');
  await expect(row('cut').getByTestId('control-key')).toHaveText('Y');
  await row('take').getByTestId('control-key').click();
  await desk.keyboard.press('y');
  await expect(row('take').getByTestId('conflict')).toContainText('Also: Cut to what is next');
  await row('take').getByTestId('control-key').click();
  await desk.keyboard.press('l');
  await expect(row('take').getByTestId('conflict')).toBeEmpty();
  // real bytes of MIDI 1.0: note on, channel 1, note 60; control change, channel 1, control 7
  const progress = () => desk.evaluate(() => window.rhetorix?.store.progress(performance.now()));
  const midi = (...bytes: number[]): Promise<void> => desk.evaluate((bytes) => window.rhetorixMidi?.(new Uint8Array(bytes)), bytes);
  await row('cover').getByTestId('control-other').click();
  await midi(0x90, 60, 100);
  await expect(row('cover').getByTestId('control-other')).toHaveText('note 1 60');
  await row('fader').getByTestId('control-other').click();
  await midi(0xb0, 7, 20);
  await expect(row('fader').getByTestId('control-other')).toHaveText('control 1 7');

  // a game pad whose fourth button is pressed
  await desk.addInitScript(() => {
    const pad = { buttons: Array.from({ length: 8 }, () => ({ value: 0, pressed: false, touched: false })) };
    Object.defineProperty(navigator, 'getGamepads', { value: () => [pad] });
    (window as unknown as { pad: typeof pad }).pad = pad;
  });
  const pad = (value: number): Promise<void> => desk.evaluate((value) => { const button = (window as unknown as { pad: { buttons: { value: number }[] } }).pad.buttons[3]; if (button) button.value = value; }, value);
  await desk.reload();
  await row('unarm').getByTestId('control-other').click();
  await pad(1);
  await expect(row('unarm').getByTestId('control-other')).toHaveText('pad 3');

  await desk.goto(`/shows/${api.id}`);
  await desk.waitForFunction(() => window.rhetorix?.isHost === true && window.rhetorixMidi !== undefined);
  await desk.evaluate((id) => window.rhetorix?.link.press('arm', { picture: id }), await api.pictureId('Bench'));
  await pad(1);
  await expect.poll(async () => (await api.state()).preview).toBe(await api.pictureId('Slides'));
  await pad(0);
  await expect(desk.getByTestId('cut')).toContainText('Y');
  await midi(0x90, 60, 100);
  await midi(0x80, 60, 0);
  await expect.poll(async () => (await api.state()).covered).toBe(true);
  await midi(0x90, 60, 100);
  await midi(0x90, 60, 0); // a note on of velocity 0 is a note off
  await expect.poll(async () => (await api.state()).covered).toBe(false);
  const up = (await api.state()).desk.way === 'up';
  const send = (value: number): Promise<void> => midi(0xb0, 7, up ? value : 127 - value);
  await send(90); // far from where the fader stands: nothing jumps
  await desk.waitForTimeout(300);
  expect(await progress()).toBeNull();
  for (let value = 0; value <= 64; value += 8) await send(value);
  await expect.poll(() => progress()).toBeCloseTo(64 / 127, 2);
  for (let value = 64; value <= 120; value += 8) await send(value);
  await send(127);
  await expect.poll(async () => (await api.state()).program).toEqual([await api.pictureId('Slides')]);
  await desk.goto(`/shows/${api.id}/controls`);
  await desk.getByTestId('controls-usual').click();
  await expect(row('cut').getByTestId('control-key')).toHaveText('K');
});
