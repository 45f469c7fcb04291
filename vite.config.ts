import tailwindcss from '@tailwindcss/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [
    laravel({
      input: ['resources/css/app.css', 'resources/js/app.ts', 'resources/js/program-window.ts', 'resources/js/join.ts', 'resources/js/deck-window.ts', 'resources/js/tally.ts', 'resources/js/worker/away.ts'],
      refresh: false,
    }),
    tailwindcss(),
  ],
  worker: { format: 'es' },
});
