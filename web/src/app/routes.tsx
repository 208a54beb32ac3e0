import { useRouteError, type RouteObject } from 'react-router';
import { Failed } from '../parts/States';
import { Shell } from './Shell';
import { say } from '@yaylak/contract';

/** Each place is loaded when it is opened. */
export const ROUTES: RouteObject[] = [
  {
    path: '/',
    Component: Shell,
    ErrorBoundary: RouteFailed,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('../places/today/TodayPage')).TodayPage }) },
      { path: 'race', lazy: async () => ({ Component: (await import('../places/race/StartPage')).StartPage }) },
      {
        path: 'animals',
        lazy: async () => ({ Component: (await import('../places/animals/AnimalsPage')).AnimalsPage }),
      },
      {
        path: 'animals/:id',
        lazy: async () => ({ Component: (await import('../places/animals/AnimalPage')).AnimalPage }),
      },
      { path: 'year', lazy: async () => ({ Component: (await import('../places/year/YearPage')).YearPage }) },
      {
        path: 'condition',
        lazy: async () => ({ Component: (await import('../places/condition/ConditionPage')).ConditionPage }),
      },
      {
        path: 'condition/scorers',
        lazy: async () => ({ Component: (await import('../places/condition/ScorersPage')).ScorersPage }),
      },
      {
        path: 'condition/practice',
        lazy: async () => ({ Component: (await import('../places/condition/PracticePage')).PracticePage }),
      },
      { path: 'mating', lazy: async () => ({ Component: (await import('../places/mating/MatingPage')).MatingPage }) },
      {
        path: 'mating/males',
        lazy: async () => ({ Component: (await import('../places/mating/MalesPage')).MalesPage }),
      },
      {
        path: 'mating/pairing',
        lazy: async () => ({ Component: (await import('../places/mating/PairingPage')).PairingPage }),
      },
      {
        path: 'mating/record',
        lazy: async () => ({ Component: (await import('../places/mating/RecordPage')).RecordPage }),
      },
      {
        path: 'carrying',
        lazy: async () => ({ Component: (await import('../places/carrying/CarryingPage')).CarryingPage }),
      },
      {
        path: 'births',
        lazy: async () => ({ Component: (await import('../places/births/BirthsPage')).BirthsPage }),
      },
      {
        path: 'rearing',
        lazy: async () => ({ Component: (await import('../places/rearing/RearingPage')).RearingPage }),
      },
      {
        path: 'rearing/litters',
        lazy: async () => ({ Component: (await import('../places/rearing/LittersPage')).LittersPage }),
      },
      {
        path: 'carrying/ageing',
        lazy: async () => ({ Component: (await import('../places/carrying/AgeingPage')).AgeingPage }),
      },
      {
        path: 'animals/:id/pedigree',
        lazy: async () => ({ Component: (await import('../places/mating/PedigreePage')).PedigreePage }),
      },
      {
        path: 'choosing',
        lazy: async () => ({ Component: (await import('../places/choosing/ChoosingPage')).ChoosingPage }),
      },
      {
        path: 'choosing/going',
        lazy: async () => ({ Component: (await import('../places/choosing/GoingPage')).GoingPage }),
      },
      {
        path: 'selling',
        lazy: async () => ({ Component: (await import('../places/selling/SellingPage')).SellingPage }),
      },
      {
        path: 'selling/results',
        lazy: async () => ({ Component: (await import('../places/selling/ResultsPage')).ResultsPage }),
      },
      {
        path: 'selling/feel',
        lazy: async () => ({ Component: (await import('../places/selling/FeelPage')).FeelPage }),
      },
      {
        path: 'selling/margins',
        lazy: async () => ({ Component: (await import('../places/selling/MarginsPage')).MarginsPage }),
      },
      {
        path: 'selling/loads/:id',
        lazy: async () => ({ Component: (await import('../places/selling/LoadPage')).LoadPage }),
      },
      {
        path: 'selling/outlets',
        lazy: async () => ({ Component: (await import('../places/selling/OutletsPage')).OutletsPage }),
      },
      {
        path: 'holding/files',
        lazy: async () => ({ Component: (await import('../places/files/FilesPage')).FilesPage }),
      },
      {
        path: 'remedies',
        lazy: async () => ({ Component: (await import('../places/remedies/RemediesPage')).RemediesPage }),
      },
      {
        path: 'remedies/register',
        lazy: async () => ({ Component: (await import('../places/remedies/RegisterPage')).RegisterPage }),
      },
      { path: 'start', lazy: async () => ({ Component: (await import('../places/start/StartPage')).StartPage }) },
      { path: 'kept', lazy: async () => ({ Component: (await import('../places/kept/KeptPage')).KeptPage }) },
      { path: 'tags', lazy: async () => ({ Component: (await import('../places/tags/TagsPage')).TagsPage }) },
      {
        path: 'holding',
        lazy: async () => ({ Component: (await import('../places/holding/HoldingPage')).HoldingPage }),
      },
      ...(['groups', 'figures', 'judging', 'copies', 'devices', 'people'] as const).map((part) => ({
        path: `holding/${part}`,
        lazy: async () => {
          const { HoldingPage } = await import('../places/holding/HoldingPage');
          return { element: <HoldingPage key={part} part={part} /> };
        },
      })),
    ],
  },
  {
    path: '/join',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/join/JoinPage')).JoinPage }),
  },
  {
    path: '/log-in',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/join/LogInPage')).LogInPage }),
  },
  {
    path: '/race/:id',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/race/RacePage')).RacePage }),
  },
  {
    path: '/race/:id/mobs',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/race/MobSheet')).MobSheet }),
  },
  {
    path: '/year/sheet',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/year/YearSheet')).YearSheet }),
  },
  {
    path: '/rearing/life/:id',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/rearing/LifeSheet')).LifeSheet }),
  },
  {
    path: '/guide',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../shared/help/GuidePage')).GuidePage }),
  },
  {
    path: '/animals/list',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/animals/AnimalsPaper')).AnimalsPaper }),
  },
  {
    path: '/animals/cards',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/animals/PenCards')).PenCards }),
  },
  {
    path: '/births/list',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/births/BirthList')).BirthList }),
  },
  {
    path: '/selling/list',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/selling/PaperList')).PaperList }),
  },
  {
    path: '/selling/sheet',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/selling/SaleSheet')).SaleSheet }),
  },
  {
    path: '/choosing/lists',
    lazy: async () => ({ Component: (await import('../places/choosing/ChoiceLists')).ChoiceLists }),
    ErrorBoundary: RouteFailed,
  },
  {
    path: '/race/:id/pens',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/race/PenSheet')).PenSheet }),
  },
  {
    path: '/race/:id/tubes',
    ErrorBoundary: RouteFailed,
    lazy: async () => ({ Component: (await import('../places/race/TubeSheet')).TubeSheet }),
  },
  { path: '*', Component: NotHere },
];

function RouteFailed() {
  return (
    <div style={{ padding: 24 }}>
      <Failed error={useRouteError() as Error} onRetry={() => window.location.reload()} />
    </div>
  );
}

function NotHere() {
  return (
    <div style={{ padding: 24 }}>
      <h1>{say('There is nothing here')}</h1>
      <p>
        <a href="/">{say('Go to Today')}</a>
      </p>
    </div>
  );
}
