# frozen_string_literal: true

module Demo
  # A chart of Harrow Sound, which is nowhere.
  module Chart
    module_function

    # @return [String] SVG
    def call
      <<~SVG
        <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1200 750" width="1200" height="750" font-family="sans-serif" font-size="20">
          <title>Harrow Sound</title>
          <rect width="1200" height="750" fill="#DCE8F2"/>
          <path d="M0 0H1200V90C1040 150 980 60 840 130S620 190 520 120 260 60 160 150 60 210 0 190Z" fill="#F1EADB" stroke="#7A5217" stroke-width="3"/>
          <path d="M0 750V560C120 600 180 520 300 560S470 680 620 640 840 560 940 620 1100 690 1200 640V750Z" fill="#F1EADB" stroke="#7A5217" stroke-width="3"/>
          <path d="M700 430C760 400 840 410 880 450S820 520 760 505 660 470 700 430Z" fill="#DFEAD7" stroke="#3F6B2A" stroke-width="2" stroke-dasharray="6 5"/>
          <circle cx="420" cy="300" r="9" fill="#A8412A"/><path d="M420 291l14-26-28 0z" fill="#A8412A"/>
          <path d="M980 250l14 26-28 0z" fill="#23313A"/>
          <path d="M120 520L420 330 720 400 1080 320" fill="none" stroke="#7A3B69" stroke-width="3" stroke-dasharray="14 8"/>
          <text x="60" y="545">Wick Quay</text><text x="440" y="286">Pell Light  Fl 10s 24m 14M</text><text x="715" y="465">Marram Bar  2.1</text>
          <text x="1000" y="262">Sable Rock</text><text x="1050" y="352">Little Anson</text><text x="560" y="230" font-style="italic">Corran Narrows</text>
          <text x="220" y="400">8.4</text><text x="560" y="350">5.6</text><text x="900" y="390">7.2</text><text x="330" y="470">3.8</text>
          <text x="40" y="40" font-size="28">Harrow Sound: soundings in metres</text>
        </svg>
      SVG
    end
  end
end
