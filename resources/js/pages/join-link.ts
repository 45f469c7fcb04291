/** The link of a phone's place as a QR code, drawn where the page says. */
import QRCode from 'qrcode';

export async function drawCodes(root: ParentNode): Promise<void> {
  for (const canvas of root.querySelectorAll<HTMLCanvasElement>('canvas[data-code]:not([data-drawn])')) {
    canvas.dataset.drawn = 'yes';
    await QRCode.toCanvas(canvas, canvas.dataset.code ?? '', { width: 220, margin: 2, errorCorrectionLevel: 'M', color: { dark: '#1b2d47', light: '#fdfaf3' } });
  }
}
