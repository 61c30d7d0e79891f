export {
  AccountContext,
  useAccount,
  useMayChange,
  useSession,
  useSessionChanged,
  type SignedIn,
} from './session'
