export {
  AccountContext,
  LookOnly,
  useAccount,
  useMayChange,
  useSession,
  useSessionChanged,
  type SignedIn,
} from './session'
