import type { StationId } from '../core/records/index.ts';

export const STATIONS = { cutting: 'st-cutting', sewing: 'st-sewing', pressing: 'st-pressing' } as unknown as Record<
  'cutting' | 'sewing' | 'pressing',
  StationId
>;
