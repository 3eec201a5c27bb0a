// Test data that other packages build on.
export * from './sample-entries.ts';
export * from './sailed-runs.ts';
export * from './sample-plan.ts';
export * from './set-at.ts';
export { restVoltageV } from '../power/battery-curve.ts';
