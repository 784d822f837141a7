import { logPlan, type BilletWish, type Log, type LogPlan, type Sawing } from '@compas/core';
import { expose } from 'comlink';

const splitting = {
  plan: (log: Log, wish: BilletWish, sawing: Sawing): LogPlan => logPlan(log, wish, sawing),
};

export type Splitting = typeof splitting;

expose(splitting);
