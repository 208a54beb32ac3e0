import { createBrowserRouter, RouterProvider } from 'react-router';
import { ROUTES } from './routes';

const router = createBrowserRouter(ROUTES);

export const App = () => <RouterProvider router={router} />;
