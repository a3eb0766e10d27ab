# frozen_string_literal: true

module Demo
  # The tide at Wick Quay over a day, computed from harmonic constants. Speeds are those of the constituents themselves
  # (degrees per hour, as in every table of harmonic constants); amplitudes and phases are Wick Quay's, which is invented.
  class TideCurve
    # speed °/h, amplitude m, phase °
    CONSTITUENTS = { 'M2' => [28.9841042, 1.42, 128], 'S2' => [30.0, 0.46, 171], 'N2' => [28.4397295, 0.28, 104], 'K1' => [15.0410686, 0.11, 96],
                     'O1' => [13.9430356, 0.09, 342] }.freeze
    MEAN = 2.6

    # @param hour [Numeric] from midnight
    # @return [Float] m above chart datum
    def height(hour)
      MEAN + CONSTITUENTS.each_value.sum { |speed, amplitude, phase| amplitude * Math.cos((speed * hour - phase) * Math::PI / 180) }
    end

    # @return [String]
    def svg
      line = (0..96).map { |i| point(i / 4.0).join(',') }.join(' ')
      <<~SVG
        <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 960 480" width="960" height="480" font-family="sans-serif" font-size="18">
          <title>Tide at Wick Quay</title>
          <rect width="960" height="480" fill="#FFFDF9"/>
          #{grid}
          <polyline points="#{line}" fill="none" stroke="#2C5F8A" stroke-width="4"/>
          <text x="70" y="36" font-size="24">Height of tide at Wick Quay, m above chart datum</text>
        </svg>
      SVG
    end

    private

    def point(hour) = [(70 + hour * 36).round(1), (430 - height(hour) * 75).round(1)]

    def grid
      levels = (0..5).map { |m| %(<path d="M70 #{430 - m * 75}H934" stroke="#DDD3C0"/><text x="40" y="#{436 - m * 75}">#{m}</text>) }
      hours = (0..24).step(6).map { |h| %(<path d="M#{70 + h * 36} 55V430" stroke="#DDD3C0"/><text x="#{56 + h * 36}" y="458">#{format('%02d', h)}:00</text>) }
      (levels + hours).join
    end
  end
end
