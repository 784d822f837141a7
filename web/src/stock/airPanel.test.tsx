import { screen } from '@testing-library/react';
import { newWorkshop } from '@compas/core';
import { answering, shownInApp } from '../../test/inApp.js';
import { AirPanel } from './AirPanel.js';

it('the air here says what it leaves, and how damp it has to be for what is wanted', async () => {
  const workshop = { ...newWorkshop('UTC', 'mm'), air: { temperature: 21.1, humidity: 90 } };
  answering({ 'GET /api/workshop': () => ({ body: { name: 'Ours', version: 1, body: workshop } }) });
  const { user } = shownInApp(<AirPanel />);
  const wanted = await screen.findByRole('spinbutton', { name: 'Wanted moisture' });
  // the handbook's table: 90 % leaves 20.5
  expect(screen.getByText('20.5')).toBeTruthy();
  await user.clear(wanted);
  await user.type(wanted, '20.5');
  expect(await screen.findByText('For 20.5 % keep the air at')).toBeTruthy();
  expect(screen.getByText('90')).toBeTruthy();
});
