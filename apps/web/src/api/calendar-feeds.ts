import { queryOptions } from '@tanstack/react-query';
import { api, take } from './client.js';
import { path, useChange } from './resources.js';

export const calendarFeedsQuery = queryOptions({
  queryKey: ['calendar-feeds'],
  queryFn: () => take(api.GET('/api/session/calendar-feeds')),
});
export const useMakeCalendarFeed = () =>
  useChange((clientId: string | null) => take(api.POST('/api/session/calendar-feeds', { body: { clientId } })));
export const useEndCalendarFeed = () =>
  useChange((id: string) => take(api.DELETE('/api/session/calendar-feeds/{id}', path(id))));
