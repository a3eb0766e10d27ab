# frozen_string_literal: true

module Veranda
  module Http
    # Courses: those that one belongs to, and what each keeps of its classes. Who belongs to one is told live, see {Live::CourseCompany}.
    class Courses < Resource
      POLICIES = Core::Courses::Course::POLICIES.keys.freeze

      get '/api/courses' do
        roles = archive.people.courses(someone![:id])
        courses = archive.courses_by_id(roles.keys)
        json(roles.map { |id, role| { **courses[id].slice(:id, :name, :zone), role: role } }.sort_by { |course| course[:name] })
      end

      # What a course keeps of its classes, and for how long.
      get '/api/courses/:id/policy' do |id|
        teaching!(id)
        json(archive.course(id).slice(*POLICIES))
      end

      patch '/api/courses/:id' do |id|
        person = archive.people.in_course(someone![:id], id)
        raise Core::Refusal.new(:staff_only, 'Only instructors decide that.') unless person

        Deciding::Perform.call(archive.log, 'course.set', input, stream: Core::Streams::StreamName.course(id), by: person)
        json(archive.course(id).slice(*POLICIES))
      end
    end
  end
end
