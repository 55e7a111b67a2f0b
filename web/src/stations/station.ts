/** What a station's work area is given; `cut` is where the cross-section stands, for those that show one. */
export interface StationProps {
  cut: number
}
