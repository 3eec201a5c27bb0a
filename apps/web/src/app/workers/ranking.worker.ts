import { rankings } from '@grey-keel/core';
import type { RankingRequest } from './ranking-messages.ts';

addEventListener('message', ({ data }: MessageEvent<RankingRequest>) => {
  postMessage({ turn: data.turn, answer: rankings(data.plan, data.catalogue, data.question) });
});
