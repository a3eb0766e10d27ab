# frozen_string_literal: true

require 'openssl'

module Demo
  # The links and the password that `bin/start` prints. They follow from this machine's secret,
  # so they stay the same from one start to the next and differ on every machine.
  class SignIns
    WHO = { 'Instructor' => 'odalys', 'Assistant' => 'tomas', 'Student Amadou' => 'amadou', 'Student Farah' => 'farah',
            'Student Keiko' => 'keiko' }.freeze

    # @param archive [Veranda::Store::Archive]
    # @param secret [String]
    def initialize(archive, secret)
      @archive = archive
      @secret = secret
    end

    # @return [String]
    def password = "tide-#{secret_for('password')[0, 12]}"

    # @param address [String] `http://…`
    def print_for(address)
      WHO.each { |label, person| line(label, "#{address}/enter/#{token('personal', person_id: person)}") }
      line('Guest link', "#{address}/enter/#{token('class', lesson_id: 'rules')}")
      line('Or sign in', "#{address}/sign-in  as odalys@tidewater.example  with  #{password}")
    end

    # @return [String] token of a link that works
    def token(kind, **target)
      token = secret_for("#{kind} #{target}")
      @archive.links.open(token, [kind])
      token
    rescue Veranda::Core::Refusal
      @archive.links.make(kind, token: token, **target)[:token]
    end

    private

    def line(label, text) = puts(format('  %-15s %s', label, text))

    def secret_for(purpose) = OpenSSL::HMAC.hexdigest('SHA256', @secret, "demo #{purpose}")
  end
end
