import { defineConfig } from '@playwright/test';
import tests from './playwright.config';

export default defineConfig({ ...tests, testMatch: ['bench/**/*.bench.ts'], timeout: 480_000, retries: 0 });
