import { matchRoutes } from 'react-router';
import { PLACES } from '../shared/nav/placeList';
import { TOPICS } from '../shared/help/topics';
import { DEMO_STOPS } from '../places/today/demoStops';
import { ROUTES } from './routes';

/** The address as the routes write it; undefined where nothing is. */
const routeOf = (address: string): string | undefined => {
  const path = matchRoutes(ROUTES, address)?.at(-1)?.route.path;
  return path === '*' ? undefined : (path ?? '/');
};

it.each(PLACES.map((place) => place.to))('leads to the place at %s', (to) =>
  expect(routeOf(to)).toBe(to === '/' ? '/' : to.slice(1)),
);

it.each(TOPICS.flatMap((t) => [t.at.replace(/^\/race\/$/, '/race/id'), ...(t.schools ?? []).map((s) => s.setAt.to)]))(
  'has a page at %s, which the help names',
  (to) => expect(routeOf(to)).toBeDefined(),
);

it.each(DEMO_STOPS.map((stop) => stop.to))('has the stop of the demo at %s', (to) => expect(routeOf(to)).toBeDefined());

it('knows an address nothing stands at', () => expect(routeOf('/no/such/place')).toBeUndefined());
