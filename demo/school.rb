# frozen_string_literal: true

require 'argon2'

module Demo
  # Tidewater Evening School: its people, courses and sign-ins. All invented.
  class School
    NAVIGATION = 'navigation'
    WEATHER = 'weather'
    ZONE = 'Europe/London'
    STAFF = { 'odalys' => 'Odalys Brandt', 'tomas' => 'Tomas Ferrand', 'ruth' => 'Ruth Adeyemi-Voss' }.freeze
    STUDENTS = ['Amadou Keller', 'Bettina Osei', 'Cosmin Draghici', 'Delphine Arkwright', 'Emre Solberg', 'Farah Lindqvist',
                'Gethin Pryce', 'Hana Morozov', 'Ines Cavallero', 'Jonas Whitlock', 'Keiko Brandão', 'Lamar Quist',
                'Mirela Novak', 'Nils Okafor'].to_h { |name| [name.split.first.downcase, name] }.freeze
    # Has given no address yet.
    UNREACHED = 'lamar'
    PEOPLE = STAFF.merge(STUDENTS).freeze

    # @param archive [Veranda::Store::Archive]
    def initialize(archive)
      @archive = archive
    end

    # @param password [String] for the accounts of the staff
    def build(password)
      STAFF.each { |id, name| @archive.people.add(name, id: id, account_id: account("#{id}@tidewater.example", password)) }
      STUDENTS.each { |id, name| @archive.people.add(name, id: id, address: ("#{id}@tidewater.example" unless id == UNREACHED)) }
      begin_course(NAVIGATION, 'Coastal Navigation for Small Boats',
                   { 'odalys' => 'instructor', 'tomas' => 'assistant', **STUDENTS.keys.to_h { |id| [id, 'student'] } })
      begin_course(WEATHER, 'Weather for Sailors', { 'ruth' => 'instructor', 'odalys' => 'student', 'nils' => 'student' })
    end

    # @return [Veranda::Core::Person]
    def self.person(id)
      role = { 'odalys' => 'instructor', 'tomas' => 'assistant' }.fetch(id, 'student')
      Veranda::Core::Person.new(id: id, name: PEOPLE.fetch(id), role: role)
    end

    private

    def begin_course(id, name, roles)
      people = roles.map { |person, role| { id: person, name: PEOPLE.fetch(person), role: role } }
      Veranda::Deciding::Perform.call(@archive.log, 'course.begin', { name: name, people: people }, stream: "course/#{id}")
      host = Veranda::Core::Person.new(id: roles.key('instructor'), name: PEOPLE.fetch(roles.key('instructor')), role: 'instructor')
      Veranda::Deciding::Perform.call(@archive.log, 'course.set', { zone: ZONE }, stream: "course/#{id}", by: host)
    end

    def account(email, password)
      hash = Argon2::Password.new(t_cost: 2, m_cost: 16).create(password)
      @archive.db[:accounts].insert(email: email, password_hash: hash)
    end
  end
end
