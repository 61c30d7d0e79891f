export {
  AccountContext,
  endsSoon,
  LookOnly,
  nameOfAccount,
  useAccount,
  useMayChange,
  useSession,
  useSessionChanged,
  useSessionGoesOn,
  type SignedIn,
} from './session'
