// The router over the addresses of Valise.
import { createBrowserRouter } from 'react-router'
import { routes } from './routes.tsx'

export const router = createBrowserRouter(routes)
