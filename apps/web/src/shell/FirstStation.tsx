import { Navigate } from 'react-router';
import { useMay } from '../session/rights.tsx';

/** Where one’s work at a site begins: the guide for those who may change it, else the pages. */
export function FirstStation() {
  return <Navigate to={useMay('guide') ? 'guide' : 'pages'} replace />;
}
