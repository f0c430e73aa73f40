/** A place to pick where no one knows its degrees by heart. Rounded to a tenth, from memory: the sun does not mind. */
export interface KnownPlace {
  name: string
  latitude: number
  longitude: number
  altitudeMetres: number
}

const place = (name: string, latitude: number, longitude: number, altitudeMetres = 0): KnownPlace => ({
  name,
  latitude,
  longitude,
  altitudeMetres,
})

export const places: readonly KnownPlace[] = [
  place('Accra', 5.6, -0.2),
  place('Adelaide', -34.9, 138.6),
  place('Albuquerque', 35.1, -106.6, 1600),
  place('Athens', 38.0, 23.7),
  place('Bogotá', 4.7, -74.1, 2600),
  place('Buenos Aires', -34.6, -58.4),
  place('Cairo', 30.0, 31.2),
  place('Cape Town', -33.9, 18.4),
  place('Chicago', 41.9, -87.6, 180),
  place('Delhi', 28.6, 77.2, 220),
  place('Edinburgh', 55.9, -3.2),
  place('Helsinki', 60.2, 24.9),
  place('Kyoto', 35.0, 135.8),
  place('Lisbon', 38.7, -9.1),
  place('London', 51.5, -0.1),
  place('Los Angeles', 34.1, -118.2),
  place('Madrid', 40.4, -3.7, 660),
  place('Melbourne', -37.8, 145.0),
  place('Mexico City', 19.4, -99.1, 2240),
  place('Montréal', 45.5, -73.6),
  place('Nairobi', -1.3, 36.8, 1700),
  place('New York', 40.7, -74.0),
  place('Oslo', 59.9, 10.7),
  place('Paris', 48.9, 2.4),
  place('Prague', 50.1, 14.4, 230),
  place('Reykjavík', 64.1, -21.9),
  place('Rome', 41.9, 12.5),
  place('São Paulo', -23.6, -46.6, 760),
  place('Singapore', 1.3, 103.8),
  place('Utrecht', 52.1, 5.1),
  place('Vancouver', 49.3, -123.1),
  place('Wellington', -41.3, 174.8),
]
