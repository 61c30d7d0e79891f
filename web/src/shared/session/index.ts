export {
  AccountContext,
  endsSoon,
  LookOnly,
  useAccount,
  useMayChange,
  useSession,
  useSessionChanged,
  useSessionGoesOn,
  type SignedIn,
} from './session'
