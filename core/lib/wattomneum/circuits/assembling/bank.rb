# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Assembling
      # The bank of a unit as one more sheet draws it: as a box, or battery by battery. Where another sheet has it already, it is that one;
      # the sheet that draws most batteries came first.
      class Bank
        # @param drawing [Drawing]
        # @param sheet [Sheet]
        # @param shared [Hash{String => String}] nodes of the sheet to those of the drawing, where both have a place
        def initialize(drawing, sheet, shared)
          @drawing = drawing
          @sheet = sheet
          @shared = shared
        end

        # @param part [Parts::Battery] of the sheet
        # @return [Hash{String => String}, nil] its posts to those of the drawing that are the same; nil where the drawing does not have it
        # @raise [SheetsDisagreeError] if the places of the sheet have it the wrong way round
        def posts_of(part)
          nodes = part.pins.map { |pin| part.node(pin) }
          return box(nodes) if nodes.all? { |node| @shared.key?(node) }

          posts = nodes.to_h { |node| [node, post_linked_to(node)] }
          posts unless posts.value?(nil)
        end

        private

        # The whole bank drawn as one battery.
        def box(nodes)
          turned = nodes.find { |node| node.end_with?(':+') && @shared[node].end_with?(':-') }
          return @shared.slice(*nodes) unless turned

          raise SheetsDisagreeError, "\"#{@sheet.title}\" has #{turned} where the others have #{@shared[turned]}: its places have the battery the " \
                                     'wrong way round. Mend them and bring it in again'
        end

        # The post of the drawing that links lead to, over like posts of this sheet's other batteries.
        def post_linked_to(node, been = [node])
          there = @shared[node]
          return (there if post?(@drawing, there) && there[-1] == node[-1]) if there

          (links_of(node) - been).filter_map { |other| post_linked_to(other, been << other) }.first
        end

        def links_of(node)
          wires = @sheet.wires.select { |wire| [wire.from, wire.to].include?(node) }
          ends = wires.map { |wire| wire.from == node ? wire.to : wire.from }
          ends.select { |other| @shared.key?(other) || (post?(@sheet, other) && other[-1] == node[-1]) }
        end

        def post?(where, node) = where.part(node.split(':', 2).first).is_a?(Parts::Battery)
      end
    end
  end
end
