#include "core/format/dxf_writer.hpp"

#include <algorithm>
#include <map>
#include <vector>

#include "core/format/dxf_reader.hpp"
#include "core/format/job_lines.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr int kPlaces = 6;

class DxfWriter {
 public:
  std::string write(const Project& project, const Layout& layout, const Plan& plan, const ExportSelection& selection) {
    height_ = project.machine.mat.height_mm;
    const auto lines = job_lines(layout, plan, selection);
    std::map<std::string, int> layers;  // with their colours
    const auto layer_of = [&](const JobLine& line) {
      std::string name(word(line.shown().role));
      if (line.pass && layout.sheets.size() > 1 && selection.sheet == 0) {
        const auto at = std::find_if(layout.sheets.begin(), layout.sheets.end(),
                                     [&](const LaidSheet& s) { return s.sheet.id == line.pass->sheet; });
        name += "-sheet-" + std::to_string(at - layout.sheets.begin() + 1);
      }
      return name;
    };
    for (const auto& line : lines) layers.emplace(layer_of(line), nearest_dxf_color(line.color(project)));

    header(project.machine.mat.width_mm);
    tables(layers);
    blocks();
    section("ENTITIES");
    for (const auto& line : lines) {
      const std::string layer = layer_of(line);
      const int color = nearest_dxf_color(line.color(project));
      for (const auto& contour : line.path().contours) add(contour, layer, color == layers.at(layer) ? 256 : color);
    }
    end_section();
    objects();
    put(0, "EOF");
    // The seed of handles is known only now.
    const std::string mark = "HANDSEED-HERE";
    out_.replace(out_.find(mark), mark.size(), hex_of(next_));
    return std::move(out_);
  }

 private:
  std::string out_;
  double height_ = 0;
  unsigned next_ = 0x30;  // below are the handles of what every file has
  enum Fixed : unsigned {
    block_records = 0x1,
    layers_table = 0x2,
    styles = 0x3,
    line_types = 0x5,
    views = 0x6,
    ucs = 0x7,
    view_ports = 0x8,
    app_ids = 0x9,
    dim_styles = 0xa,
    root = 0xc,
    groups = 0xd,
    model_record = 0x1f,
    model_block = 0x20,
    model_end = 0x21,
    paper_record = 0x1b,
    paper_block = 0x1c,
    paper_end = 0x1d
  };

  static std::string hex_of(unsigned v) {
    std::string out;
    for (; v > 0; v /= 16) out.insert(out.begin(), "0123456789ABCDEF"[v % 16]);
    return out.empty() ? "0" : out;
  }
  void put(int code, const std::string& value) { out_ += std::to_string(code) + "\n" + value + "\n"; }
  void put(int code, const char* value) { put(code, std::string(value)); }
  void put(int code, int value) { put(code, std::to_string(value)); }
  void put(int code, double value) {
    std::string text = rounded_text(value, kPlaces);
    if (text.find('.') == std::string::npos) text += ".0";
    put(code, text);
  }
  void handle(unsigned v, int code = 5) { put(code, hex_of(v)); }
  void section(const char* name) { put(0, "SECTION"), put(2, name); }
  void end_section() { put(0, "ENDSEC"); }

  void header(double width) {
    section("HEADER");
    put(9, "$ACADVER"), put(1, "AC1015");
    put(9, "$HANDSEED"), put(5, "HANDSEED-HERE");
    put(9, "$INSUNITS"), put(70, 4);
    put(9, "$MEASUREMENT"), put(70, 1);
    put(9, "$EXTMIN"), put(10, 0.0), put(20, 0.0), put(30, 0.0);
    put(9, "$EXTMAX"), put(10, width), put(20, height_), put(30, 0.0);
    end_section();
  }

  void table(const char* name, unsigned own, int entries) {
    put(0, "TABLE"), put(2, name), handle(own), put(330, "0"), put(100, "AcDbSymbolTable"), put(70, entries);
  }
  void entry(const char* kind, unsigned own, unsigned owner, const char* marker, const std::string& name) {
    put(0, kind), handle(own), handle(owner, 330), put(100, "AcDbSymbolTableRecord"), put(100, marker), put(2, name);
    put(70, 0);
  }

  void tables(const std::map<std::string, int>& layers) {
    section("TABLES");
    table("VPORT", view_ports, 0), put(0, "ENDTAB");
    table("LTYPE", line_types, 3);
    for (const char* name : {"ByBlock", "ByLayer", "Continuous"}) {
      entry("LTYPE", next_++, line_types, "AcDbLinetypeTableRecord", name);
      put(3, ""), put(72, 65), put(73, 0), put(40, 0.0);
    }
    put(0, "ENDTAB");
    table("LAYER", layers_table, static_cast<int>(layers.size()) + 1);
    const auto layer = [&](const std::string& name, int color) {
      entry("LAYER", next_++, layers_table, "AcDbLayerTableRecord", name);
      put(62, color), put(6, "Continuous");
    };
    layer("0", 7);
    for (const auto& [name, color] : layers) layer(name, color);
    put(0, "ENDTAB");
    table("STYLE", styles, 1);
    entry("STYLE", next_++, styles, "AcDbTextStyleTableRecord", "Standard");
    put(40, 0.0), put(41, 1.0), put(50, 0.0), put(71, 0), put(42, 2.5), put(3, "txt"), put(4, "");
    put(0, "ENDTAB");
    table("VIEW", views, 0), put(0, "ENDTAB");
    table("UCS", ucs, 0), put(0, "ENDTAB");
    table("APPID", app_ids, 1);
    entry("APPID", next_++, app_ids, "AcDbRegAppTableRecord", "ACAD");
    put(0, "ENDTAB");
    put(0, "TABLE"), put(2, "DIMSTYLE"), handle(dim_styles), put(330, "0"), put(100, "AcDbSymbolTable"), put(70, 0);
    put(100, "AcDbDimStyleTable"), put(0, "ENDTAB");
    table("BLOCK_RECORD", block_records, 2);
    for (const auto& [own, name] :
         {std::pair<unsigned, const char*>{model_record, "*Model_Space"}, {paper_record, "*Paper_Space"}}) {
      put(0, "BLOCK_RECORD"), handle(own), handle(block_records, 330), put(100, "AcDbSymbolTableRecord");
      put(100, "AcDbBlockTableRecord"), put(2, name);
    }
    put(0, "ENDTAB");
    end_section();
  }

  void blocks() {
    section("BLOCKS");
    const auto block = [&](unsigned begin, unsigned end, unsigned owner, const char* name) {
      put(0, "BLOCK"), handle(begin), handle(owner, 330), put(100, "AcDbEntity"), put(8, "0"),
          put(100, "AcDbBlockBegin");
      put(2, name), put(70, 0), put(10, 0.0), put(20, 0.0), put(30, 0.0), put(3, name), put(1, "");
      put(0, "ENDBLK"), handle(end), handle(owner, 330), put(100, "AcDbEntity"), put(8, "0"), put(100, "AcDbBlockEnd");
    };
    block(model_block, model_end, model_record, "*Model_Space");
    block(paper_block, paper_end, paper_record, "*Paper_Space");
    end_section();
  }

  void objects() {
    section("OBJECTS");
    put(0, "DICTIONARY"), handle(root), put(330, "0"), put(100, "AcDbDictionary"), put(281, 1);
    put(3, "ACAD_GROUP"), handle(groups, 350);
    put(0, "DICTIONARY"), handle(groups), handle(root, 330), put(100, "AcDbDictionary"), put(281, 1);
    end_section();
  }

  void point(Vec p, bool depth) {
    put(10, p.x), put(20, height_ - p.y);
    if (depth) put(30, 0.0);
  }

  void entity(const char* kind, const std::string& layer, int color, const char* marker) {
    put(0, kind), handle(next_++), handle(model_record, 330), put(100, "AcDbEntity"), put(8, layer);
    if (color != 256) put(62, color);
    put(100, marker);
  }

  void add(const Contour& contour, const std::string& layer, int color) {
    const bool straight =
        std::all_of(contour.segments.begin(), contour.segments.end(), [](const Segment& s) { return s.straight; });
    if (contour.segments.empty()) return;
    if (straight) {
      // The last side of a closed one is drawn by its flag.
      const std::size_t count = contour.segments.size() + (contour.closed ? 0 : 1);
      entity("LWPOLYLINE", layer, color, "AcDbPolyline");
      put(90, static_cast<int>(count)), put(70, contour.closed ? 1 : 0);
      point(contour.start, false);
      for (std::size_t i = 0; i + 1 < count; ++i) point(contour.segments[i].end, false);
      return;
    }
    std::vector<Vec> control{contour.start};
    for (const auto& s : contour.segments) {
      const Vec from = control.back();
      control.push_back(s.straight ? lerp(from, s.end, 1.0 / 3) : s.c1);
      control.push_back(s.straight ? lerp(from, s.end, 2.0 / 3) : s.c2);
      control.push_back(s.end);
    }
    const auto spans = static_cast<int>(contour.segments.size());
    entity("SPLINE", layer, color, "AcDbSpline");
    constexpr int kPlanar = 8, kClosed = 1;
    put(70, kPlanar + (contour.closed ? kClosed : 0)), put(71, 3), put(72, 3 * spans + 5);
    put(73, static_cast<int>(control.size())), put(74, 0);
    for (int k = 0; k <= spans; ++k) {
      for (int times = k == 0 || k == spans ? 4 : 3; times > 0; --times) put(40, static_cast<double>(k));
    }
    for (const Vec p : control) point(p, true);
  }
};

}  // namespace

std::string write_dxf(const Project& project, const Layout& layout, const Plan& plan,
                      const ExportSelection& selection) {
  return DxfWriter().write(project, layout, plan, selection);
}

}  // namespace dotlane
