import { defineConfig } from '@playwright/test';
import tests from './playwright.config';

export default defineConfig({ ...tests, testMatch: ['screenshots/**/*.shots.ts'], timeout: 300_000, retries: 0 });
