export {
  AccountContext,
  endsSoon,
  LookOnly,
  nameOfAccount,
  useAccount,
  useMayChange,
  useSession,
  wasHere,
  useSessionChanged,
  useSessionGoesOn,
  type SignedIn,
} from './session'
