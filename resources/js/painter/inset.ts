/** Paints the inset over a canvas of any size. */
import type { InsetLook } from '../plan/inset';
import type { FramePlan, InsetTool } from '../plan/types';
import { paintPlan, type Context, type ImageOf } from './frame';
import type { Flat } from './transition';

export function paintInset(context: Context, flat: Flat, look: InsetLook, plan: FramePlan, tool: InsetTool, imageOf: ImageOf): void {
  const { width, height } = flat.canvas;
  const scale = width / plan.canvas.width;
  const [x, y, w, h] = [look.rect.x * scale, look.rect.y * scale, look.rect.width * scale, look.rect.height * scale];
  // Only on its way is it made flat first: windows that let each other through are not one that does.
  const travels = look.opacity < 1;
  if (travels) paintPlan(flat.context, plan, width, height, imageOf);
  context.save();
  context.globalAlpha = look.opacity;
  context.beginPath();
  context.roundRect(x, y, w, h, tool.radius * h * look.trim);
  context.save();
  context.clip();
  if (travels) context.drawImage(flat.canvas, x, y, w, h);
  else paintPlan(context, plan, w, h, imageOf, x, y);
  context.restore();
  const border = tool.border * height * look.trim;
  if (border > 0.2) {
    context.lineWidth = border;
    context.strokeStyle = '#fdfaf3';
    context.stroke();
  }
  context.restore();
}
