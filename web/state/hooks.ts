import { createContext, useContext } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { Services } from './services';
import type { AppDispatch, RootState } from './rootState';

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

export const ServicesContext = createContext<Services | null>(null);

/** @throws Error outside the application's providers */
export function useServices(): Services {
  const services = useContext(ServicesContext);
  if (!services) throw new Error('useServices: expected to be inside <ServicesContext>');
  return services;
}
