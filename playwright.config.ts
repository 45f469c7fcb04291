import { defineConfig } from '@playwright/test';

// bin/test starts the instance and says where it is.
export default defineConfig({
  testDir: 'tests',
  testMatch: ['Browser/**/*.spec.ts', 'Reference/**/*.spec.ts'],
  timeout: 120_000,
  expect: { timeout: 30_000 },
  // One at a time: each test paints as much as the machine can.
  workers: 1,
  fullyParallel: false,
  retries: process.env.CI ? 2 : 0,
  outputDir: 'test-results',
  use: {
    baseURL: process.env.RHETORIX_URL ?? 'http://127.0.0.1:8080',
    viewport: { width: 1280, height: 800 },
    actionTimeout: 30_000,
    navigationTimeout: 60_000,
    trace: 'off',
  },
});
