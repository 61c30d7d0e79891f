import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { askAnew, keys, api, must, type ServiceHosts, type ServiceKinds } from '../../shared/api'
import type { KindDocument } from './document'

/** The kinds that the service keeps, and what a new one begins with. */
export const useServiceKinds = (enabled = true) =>
  useQuery({
    queryKey: keys.serviceKinds('all'),
    queryFn: async (): Promise<ServiceKinds> => must(api.GET('/api/service/kinds')),
    enabled,
  })

/** The document of one in its newest edition. */
export const useServiceKind = (id: string | undefined) =>
  useQuery({
    queryKey: keys.serviceKinds('document', id ?? ''),
    queryFn: () => documentOf(id ?? ''),
    enabled: id !== undefined,
    gcTime: 0,
    staleTime: Infinity,
  })

export const useEditions = (id: string) =>
  useQuery({
    queryKey: keys.serviceKinds('editions', id),
    queryFn: async () =>
      (await must(api.GET('/api/service/kinds/{shelf}/editions', { params: { path: { shelf: id } } })))
        .editions,
  })

export const documentOf = async (id: string): Promise<KindDocument> =>
  (await must(
    api.GET('/api/service/kinds/{shelf}', { params: { path: { shelf: id } } }),
  )) as unknown as KindDocument

export const shippedDocument = async (id: string): Promise<KindDocument> =>
  (await must(
    api.GET('/api/kinds/{shipped}', { params: { path: { shipped: id } } }),
  )) as unknown as KindDocument

export const keep = (document: object, opened_on: number | null) =>
  must(
    api.POST('/api/service/kinds', {
      body: { document: document as KindDocument, ...(opened_on === null ? {} : { opened_on }) },
    }),
  )

/** What the service says of hosts. */
export const useServiceHosts = (enabled = true) =>
  useQuery({
    queryKey: keys.serviceKinds('hosts'),
    queryFn: async (): Promise<ServiceHosts> => must(api.GET('/api/service/hosts')),
    enabled,
  })

export const keepHosts = (document: ServiceHosts['document'], opened_on: number | null) =>
  must(api.POST('/api/service/hosts', { body: { document, ...(opened_on === null ? {} : { opened_on }) } }))

/** Asks for all of it anew. */
export function useAsked() {
  const queries = useQueryClient()
  return useCallback(() => askAnew(queries, { queryKey: keys.serviceKinds() }), [queries])
}
