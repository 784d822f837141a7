import { NavLink, Outlet } from 'react-router';
import './stock.css';

const PLACES = [
  { to: '/stock', word: 'Shelf', end: true },
  { to: '/stock/cutting', word: 'Cutting' },
  { to: '/stock/logs', word: 'Logs' },
  { to: '/stock/drying', word: 'Drying' },
  { to: '/stock/cylinder', word: 'Odd pieces' },
  { to: '/stock/materials', word: 'Materials' },
  { to: '/stock/ledger', word: 'Ledger' },
];

/** The rooms of the stock: what lies there, how it is cut, what dries, what it all cost. */
export default function StockFrame() {
  return (
    <div className="stock">
      <nav className="shop-nav" aria-label="Parts of the stock">
        {PLACES.map(({ to, word, end }) => (
          <NavLink key={to} to={to} end={end ?? false}>
            {word}
          </NavLink>
        ))}
      </nav>
      <div className="stock-room">
        <Outlet />
      </div>
    </div>
  );
}
