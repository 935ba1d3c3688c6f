<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de_DE" sourcelanguage="en">
<context>
    <name>QObject</name>
    <message>
        <source>Unsaved changes</source>
        <translation>Nicht gesicherte Änderungen</translation>
    </message>
    <message>
        <source>“%1” has changes that are not saved.</source>
        <translation>„%1“ hat Änderungen, die nicht gesichert sind.</translation>
    </message>
    <message>
        <source>On a mat of %1 it could have %2.</source>
        <translation>Auf einer Matte von %1 wären %2 möglich.</translation>
    </message>
    <message>
        <source>On a whole sheet of %1 it could have %2.</source>
        <translation>Auf einem ganzen Bogen von %1 wären %2 möglich.</translation>
    </message>
    <message>
        <source>With one seam across %1 it could have %2.</source>
        <translation>Mit einer Naht quer durch %1 wären %2 möglich.</translation>
    </message>
    <message>
        <source>With %1 trimmed under what lies on it, it could have %2.</source>
        <translation>Mit %1 unter dem beschnitten, was darauf liegt, wären %2 möglich.</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie es ist</translation>
    </message>
    <message>
        <source>ends joined</source>
        <translation>Enden verbunden</translation>
    </message>
    <message>
        <source>strokes %1 apart</source>
        <translation>Striche %1 auseinander</translation>
    </message>
    <message>
        <source>2nd pass, half a step on</source>
        <translation>2. Durchgang, einen halben Schritt versetzt</translation>
    </message>
    <message>
        <source>2nd pass, turned by 90°</source>
        <translation>2. Durchgang, um 90° gedreht</translation>
    </message>
    <message>
        <source>%1×, whole pass each time</source>
        <translation>%1×, jedes Mal der ganze Durchgang</translation>
    </message>
    <message>
        <source>%1×, stroke by stroke</source>
        <translation>%1×, Strich für Strich</translation>
    </message>
    <message>
        <source>Name of the piece</source>
        <translation>Name des Stücks</translation>
    </message>
    <message>
        <source>%1 pieces</source>
        <translation>%1 Stücke</translation>
    </message>
    <message>
        <source>  ·  helper</source>
        <translation>  ·  Hilfsstück</translation>
    </message>
    <message>
        <source>  ·  not this time</source>
        <translation>  ·  diesmal nicht</translation>
    </message>
    <message>
        <source>cannot be opened</source>
        <translation>lässt sich nicht öffnen</translation>
    </message>
    <message>
        <source>comes with Dot Lane</source>
        <translation>kommt mit Dot Lane</translation>
    </message>
    <message>
        <source>one stroke</source>
        <translation>ein Strich</translation>
    </message>
    <message>
        <source>outlines reserved: see its licence</source>
        <translation>Umrisse vorbehalten: siehe die Lizenz</translation>
    </message>
    <message>
        <source>Ligatures</source>
        <translation>Ligaturen</translation>
    </message>
    <message>
        <source>Ornaments</source>
        <translation>Ornamente</translation>
    </message>
    <message>
        <source>Letters</source>
        <translation>Buchstaben</translation>
    </message>
    <message>
        <source>Signs</source>
        <translation>Zeichen</translation>
    </message>
    <message>
        <source>Swashes</source>
        <translation>Zierformen</translation>
    </message>
    <message>
        <source>Alternates</source>
        <translation>Varianten</translation>
    </message>
    <message>
        <source>Others</source>
        <translation>Andere</translation>
    </message>
    <message>
        <source>ligatures</source>
        <translation>Ligaturen</translation>
    </message>
    <message>
        <source>rare ligatures</source>
        <translation>seltene Ligaturen</translation>
    </message>
    <message>
        <source>old ligatures</source>
        <translation>alte Ligaturen</translation>
    </message>
    <message>
        <source>ligatures by context</source>
        <translation>Ligaturen je nach Umgebung</translation>
    </message>
    <message>
        <source>forms by context</source>
        <translation>Formen je nach Umgebung</translation>
    </message>
    <message>
        <source>swashes</source>
        <translation>Zierformen</translation>
    </message>
    <message>
        <source>swashes by context</source>
        <translation>Zierformen je nach Umgebung</translation>
    </message>
    <message>
        <source>other forms</source>
        <translation>andere Formen</translation>
    </message>
    <message>
        <source>small capitals</source>
        <translation>Kapitälchen</translation>
    </message>
    <message>
        <source>capitals made small</source>
        <translation>Großbuchstaben verkleinert</translation>
    </message>
    <message>
        <source>old-style figures</source>
        <translation>Mediävalziffern</translation>
    </message>
    <message>
        <source>lining figures</source>
        <translation>Versalziffern</translation>
    </message>
    <message>
        <source>figures of own width</source>
        <translation>Ziffern eigener Breite</translation>
    </message>
    <message>
        <source>figures of one width</source>
        <translation>Ziffern gleicher Breite</translation>
    </message>
    <message>
        <source>fractions</source>
        <translation>Brüche</translation>
    </message>
    <message>
        <source>raised</source>
        <translation>hochgestellt</translation>
    </message>
    <message>
        <source>lowered</source>
        <translation>tiefgestellt</translation>
    </message>
    <message>
        <source>ordinals</source>
        <translation>Ordnungszahlen</translation>
    </message>
    <message>
        <source>signs for capitals</source>
        <translation>Zeichen für Großbuchstaben</translation>
    </message>
    <message>
        <source>crossed zero</source>
        <translation>durchgestrichene Null</translation>
    </message>
    <message>
        <source>old forms</source>
        <translation>alte Formen</translation>
    </message>
    <message>
        <source>titling forms</source>
        <translation>Titelformen</translation>
    </message>
    <message>
        <source>style set %1</source>
        <translation>Stilsatz %1</translation>
    </message>
    <message>
        <source>letter variant %1</source>
        <translation>Buchstabenvariante %1</translation>
    </message>
    <message>
        <source>choose…</source>
        <translation>auswählen…</translation>
    </message>
    <message>
        <source>%1 chosen…</source>
        <translation>%1 gewählt…</translation>
    </message>
    <message>
        <source>good</source>
        <translation>gut</translation>
    </message>
    <message>
        <source>too weak</source>
        <translation>zu schwach</translation>
    </message>
    <message>
        <source>too strong</source>
        <translation>zu stark</translation>
    </message>
    <message>
        <source>torn</source>
        <translation>gerissen</translation>
    </message>
    <message>
        <source>skipped</source>
        <translation>ausgelassen</translation>
    </message>
    <message>
        <source>nobody said</source>
        <translation>nicht gesagt</translation>
    </message>
    <message>
        <source>Dot Lane projects (*.dotlane)</source>
        <translation>Dot-Lane-Projekte (*.dotlane)</translation>
    </message>
    <message>
        <source>Drawings and pictures (%1)</source>
        <translation>Zeichnungen und Bilder (%1)</translation>
    </message>
    <message>
        <source>mat</source>
        <translation>Matte</translation>
    </message>
    <message>
        <source>mats</source>
        <translation>Matten</translation>
    </message>
    <message>
        <source>pause</source>
        <translation>Pause</translation>
    </message>
    <message>
        <source>pauses</source>
        <translation>Pausen</translation>
    </message>
    <message>
        <source>swap</source>
        <translation>Wechsel</translation>
    </message>
    <message>
        <source>swaps</source>
        <translation>Wechsel</translation>
    </message>
    <message>
        <source>The passes were put in order by hand.</source>
        <translation>Die Durchgänge wurden von Hand geordnet.</translation>
    </message>
    <message>
        <source>The passes were put in order by hand. That takes %1 more.</source>
        <translation>Die Durchgänge wurden von Hand geordnet. Das kostet %1 mehr.</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>stroke</source>
        <translation>Strich</translation>
    </message>
    <message>
        <source>strokes</source>
        <translation>Striche</translation>
    </message>
    <message>
        <source>two passes</source>
        <translation>zwei Durchgänge</translation>
    </message>
    <message>
        <source>stone</source>
        <translation>Stein</translation>
    </message>
    <message>
        <source>stones</source>
        <translation>Steine</translation>
    </message>
    <message>
        <source>island</source>
        <translation>Insel</translation>
    </message>
    <message>
        <source>islands</source>
        <translation>Inseln</translation>
    </message>
    <message>
        <source>bridge</source>
        <translation>Steg</translation>
    </message>
    <message>
        <source>bridges</source>
        <translation>Stege</translation>
    </message>
    <message>
        <source>%1 out</source>
        <translation>%1 weggelassen</translation>
    </message>
    <message>
        <source>bit falls</source>
        <translation>Stückchen fällt</translation>
    </message>
    <message>
        <source>bits fall</source>
        <translation>Stückchen fallen</translation>
    </message>
    <message>
        <source>weakest %1 wide, %2 long</source>
        <translation>schwächster %1 breit, %2 lang</translation>
    </message>
    <message>
        <source>copy</source>
        <translation>Kopie</translation>
    </message>
    <message>
        <source>copies</source>
        <translation>Kopien</translation>
    </message>
    <message>
        <source>%1 across, %2 down</source>
        <translation>%1 quer, %2 hinunter</translation>
    </message>
    <message>
        <source>every %1</source>
        <translation>alle %1</translation>
    </message>
    <message>
        <source>, rows every %1</source>
        <translation>, Reihen alle %1</translation>
    </message>
    <message>
        <source>radius %1</source>
        <translation>Radius %1</translation>
    </message>
    <message>
        <source>%1 between</source>
        <translation>%1 dazwischen</translation>
    </message>
    <message>
        <source>they touch</source>
        <translation>sie berühren sich</translation>
    </message>
    <message>
        <source>%1 left over</source>
        <translation>%1 bleiben übrig</translation>
    </message>
    <message>
        <source>tile</source>
        <translation>Kachel</translation>
    </message>
    <message>
        <source>tiles</source>
        <translation>Kacheln</translation>
    </message>
    <message>
        <source>seam</source>
        <translation>Naht</translation>
    </message>
    <message>
        <source>seams</source>
        <translation>Nähte</translation>
    </message>
    <message>
        <source>%1, %2 in sight</source>
        <translation>%1, %2 sichtbar</translation>
    </message>
    <message>
        <source>a square of %1</source>
        <translation>ein Quadrat von %1</translation>
    </message>
    <message>
        <source>squares of %1, halved</source>
        <translation>Quadrate von %1, halbiert</translation>
    </message>
    <message>
        <source>squares of %1, quartered</source>
        <translation>Quadrate von %1, geviertelt</translation>
    </message>
    <message>
        <source>%1 from %2</source>
        <translation>%1 aus %2</translation>
    </message>
    <message>
        <source>contour</source>
        <translation>Kontur</translation>
    </message>
    <message>
        <source>contours</source>
        <translation>Konturen</translation>
    </message>
    <message>
        <source>node</source>
        <translation>Knoten</translation>
    </message>
    <message>
        <source>nodes</source>
        <translation>Knoten</translation>
    </message>
    <message>
        <source>%1 cm² saved</source>
        <translation>%1 cm² gespart</translation>
    </message>
    <message>
        <source>%1 left out</source>
        <translation>%1 weggelassen</translation>
    </message>
    <message>
        <source>(gone)</source>
        <translation>(fort)</translation>
    </message>
    <message>
        <source>piece</source>
        <translation>Stück</translation>
    </message>
    <message>
        <source>pieces</source>
        <translation>Stücke</translation>
    </message>
    <message>
        <source>all that fit</source>
        <translation>alle, die passen</translation>
    </message>
    <message>
        <source>all %1 lines</source>
        <translation>alle Linien: %1</translation>
    </message>
    <message>
        <source>the picked lines</source>
        <translation>die gewählten Linien</translation>
    </message>
    <message>
        <source>There is no other piece</source>
        <translation>Es gibt kein anderes Stück</translation>
    </message>
    <message>
        <source>%1, more…</source>
        <translation>%1, mehr…</translation>
    </message>
    <message>
        <source>place</source>
        <translation>Stelle</translation>
    </message>
    <message>
        <source>places</source>
        <translation>Stellen</translation>
    </message>
    <message>
        <source>pick…</source>
        <translation>wählen…</translation>
    </message>
    <message>
        <source>letter</source>
        <translation>Buchstabe</translation>
    </message>
    <message>
        <source>letters</source>
        <translation>Buchstaben</translation>
    </message>
    <message>
        <source>Millimetres</source>
        <translation>Millimeter</translation>
    </message>
    <message>
        <source>Inches</source>
        <translation>Zoll</translation>
    </message>
    <message>
        <source>numbers</source>
        <translation>Nummern</translation>
    </message>
    <message>
        <source>Layer by layer, the back at the bottom</source>
        <translation>Lage für Lage, die hinterste zuunterst</translation>
    </message>
    <message>
        <source>Step %1 of %2: %3</source>
        <translation>Schritt %1 von %2: %3</translation>
    </message>
    <message>
        <source>Before step %1: join %2, face down</source>
        <translation>Vor Schritt %1: %2 zusammenfügen, mit dem Gesicht nach unten</translation>
    </message>
    <message>
        <source>Sheet %1: %2</source>
        <translation>Bogen %1: %2</translation>
    </message>
    <message>
        <source>%1  %2, %3, on no sheet yet</source>
        <translation>%1  %2, %3, noch auf keinem Bogen</translation>
    </message>
    <message>
        <source>%1  %2, %3, from sheet %4</source>
        <translation>%1  %2, %3, von Bogen %4</translation>
    </message>
    <message>
        <source>%1. Parts: %2. Steps: %3. Sheets: %4.</source>
        <translation>%1. Teile: %2. Schritte: %3. Bögen: %4.</translation>
    </message>
    <message>
        <source>Blades are sharp: put their caps on before you glue. Heated tips stay hot. Card edges cut, too.</source>
        <translation>Klingen sind scharf: vor dem Kleben die Kappen aufsetzen. Beheizte Spitzen bleiben heiß. Auch Kartonkanten schneiden.</translation>
    </message>
    <message>
        <source>Step %1: %2</source>
        <translation>Schritt %1: %2</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>Lay the tiles face down as here, mirrored; bring their edges together and tape along the dashed lines.</source>
        <translation>Die Kacheln mit dem Gesicht nach unten hinlegen wie hier, gespiegelt; die Kanten aneinanderschieben und entlang der gestrichelten Linien kleben.</translation>
    </message>
    <message>
        <source>Look for an even reveal all round before you press it down: it shows that the layers lie right.</source>
        <translation>Vor dem Andrücken ringsum nach einem gleichmäßigen Rand sehen: Er zeigt, dass die Lagen richtig liegen.</translation>
    </message>
    <message>
        <source>50 mm: print at 100 %.  %1, row %2 of %3, page %4 of %5. Pages run on by %6 mm.</source>
        <translation>50 mm: mit 100 % drucken.  %1, Reihe %2 von %3, Seite %4 von %5. Die Seiten überlappen um %6 mm.</translation>
    </message>
    <message>
        <source>sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>stock</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>thickness</source>
        <translation>Dicke</translation>
    </message>
    <message>
        <source>mat load</source>
        <translation>Mattenladung</translation>
    </message>
    <message>
        <source>pause before</source>
        <translation>Pause davor</translation>
    </message>
    <message>
        <source>pass</source>
        <translation>Durchgang</translation>
    </message>
    <message>
        <source>what</source>
        <translation>was</translation>
    </message>
    <message>
        <source>tool</source>
        <translation>Werkzeug</translation>
    </message>
    <message>
        <source>holder</source>
        <translation>Halter</translation>
    </message>
    <message>
        <source>force</source>
        <translation>Kraft</translation>
    </message>
    <message>
        <source>speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>mark</source>
        <translation>Marke</translation>
    </message>
    <message>
        <source>repeats</source>
        <translation>Wiederholungen</translation>
    </message>
    <message>
        <source>time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>Before the start</source>
        <translation>Vor dem Start</translation>
    </message>
    <message>
        <source>Pause %1 of %2, before pass %3, after about %4</source>
        <translation>Pause %1 von %2, vor Durchgang %3, nach etwa %4</translation>
    </message>
    <message>
        <source>Wait %1 of %2, before pass %3, after about %4</source>
        <translation>Wartezeit %1 von %2, vor Durchgang %3, nach etwa %4</translation>
    </message>
    <message>
        <source>Then it runs to the end, about %1.</source>
        <translation>Danach läuft es bis zum Ende, etwa %1.</translation>
    </message>
    <message>
        <source>Then hands are free for about %1.</source>
        <translation>Danach sind die Hände etwa %1 frei.</translation>
    </message>
    <message>
        <source>Job sheet. About %1 with %2 pauses, %3 of it running. Machine: %4, mat %5 × %6.</source>
        <translation>Arbeitsblatt. Etwa %1 mit %2 Pausen, davon läuft es %3. Maschine: %4, Matte %5 × %6.</translation>
    </message>
    <message>
        <source>Cautions</source>
        <translation>Vorsicht</translation>
    </message>
    <message>
        <source>Do not take the mat out between passes: what is drawn and what is cut must land in register.</source>
        <translation>Die Matte zwischen den Durchgängen nicht herausnehmen: Gezeichnetes und Geschnittenes müssen aufeinander passen.</translation>
    </message>
    <message>
        <source>Stock</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>Passes</source>
        <translation>Durchgänge</translation>
    </message>
    <message>
        <source>What hands do</source>
        <translation>Was Hände tun</translation>
    </message>
    <message>
        <source>50 mm: print at 100 %.  %1, sheet %2</source>
        <translation>50 mm: mit 100 % drucken.  %1, Bogen %2</translation>
    </message>
    <message>
        <source>bridge %1 wide, %2 long</source>
        <translation>Steg %1 breit, %2 lang</translation>
    </message>
    <message>
        <source>seam of %1, %2 in sight</source>
        <translation>Naht von %1, %2 sichtbar</translation>
    </message>
    <message>
        <source>%1 turned under</source>
        <translation>%1 umgeschlagen</translation>
    </message>
    <message>
        <source>stitched %1 inside</source>
        <translation>innen mit %1 genäht</translation>
    </message>
    <message>
        <source>runs under by %1</source>
        <translation>läuft um %1 darunter</translation>
    </message>
    <message>
        <source>rows every %1</source>
        <translation>Reihen alle %1</translation>
    </message>
    <message>
        <source>%1 across</source>
        <translation>%1 quer</translation>
    </message>
    <message>
        <source>%1 down</source>
        <translation>%1 hinunter</translation>
    </message>
    <message>
        <source>room %1 %2, %3</source>
        <translation>Raum %1 %2, %3</translation>
    </message>
    <message>
        <source>Bring in a drawing</source>
        <translation>Eine Zeichnung hereinholen</translation>
    </message>
    <message>
        <source>Drop an SVG file here, or press Ctrl+I.
It comes in at its true size, and every line gets a role.</source>
        <translation>Eine SVG-Datei hierher ziehen oder Strg+I drücken.
Sie kommt in wahrer Größe, und jede Linie bekommt eine Rolle.</translation>
    </message>
    <message>
        <source>, %1 g/m²</source>
        <translation>, %1 g/m²</translation>
    </message>
    <message>
        <source>%1 sheets</source>
        <translation>%1 Bögen</translation>
    </message>
    <message>
        <source>mat load %1</source>
        <translation>Mattenladung %1</translation>
    </message>
    <message>
        <source>1 sheet</source>
        <translation>1 Bogen</translation>
    </message>
    <message>
        <source>Hide what is selected, or show it again; it is run all the same</source>
        <translation>Ausblenden, was gewählt ist, oder wieder zeigen; gelaufen wird es trotzdem</translation>
    </message>
    <message>
        <source>Hide</source>
        <translation>Ausblenden</translation>
    </message>
    <message>
        <source>Show</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>Show everything that is hidden</source>
        <translation>Alles zeigen, was ausgeblendet ist</translation>
    </message>
    <message>
        <source>Show everything</source>
        <translation>Alles zeigen</translation>
    </message>
    <message>
        <source>Lock what is selected for hands on the bench, or unlock it</source>
        <translation>Was gewählt ist, für Hände auf dem Werktisch sperren oder entsperren</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>Unlock</source>
        <translation>Entsperren</translation>
    </message>
    <message>
        <source>Unlock everything</source>
        <translation>Alles entsperren</translation>
    </message>
    <message>
        <source>Leave what is selected out of the run this time, or run it</source>
        <translation>Was gewählt ist, diesmal aus dem Lauf lassen oder doch laufen lassen</translation>
    </message>
    <message>
        <source>Not this time</source>
        <translation>Diesmal nicht</translation>
    </message>
    <message>
        <source>This time, too</source>
        <translation>Diesmal doch</translation>
    </message>
    <message>
        <source>Find pieces in the ledger</source>
        <translation>Stücke im Verzeichnis finden</translation>
    </message>
    <message>
        <source>Rename the piece or the group</source>
        <translation>Das Stück oder die Gruppe umbenennen</translation>
    </message>
    <message>
        <source>Type here, or on the bench with F2</source>
        <translation>Hier schreiben oder mit F2 auf dem Werktisch</translation>
    </message>
    <message>
        <source>no %1</source>
        <translation>ohne %1</translation>
    </message>
    <message>
        <source>as the typeface does</source>
        <translation>wie die Schrift es tut</translation>
    </message>
    <message>
        <source>For the marked letters</source>
        <translation>Für die markierten Buchstaben</translation>
    </message>
    <message>
        <source>Change features</source>
        <translation>Schriftmerkmale ändern</translation>
    </message>
    <message>
        <source>This typeface has none</source>
        <translation>Diese Schrift hat keine</translation>
    </message>
    <message>
        <source>Change an axis</source>
        <translation>Eine Achse ändern</translation>
    </message>
    <message>
        <source>Put back</source>
        <translation>Zurücksetzen</translation>
    </message>
    <message>
        <source>space before</source>
        <translation>Raum davor</translation>
    </message>
    <message>
        <source>to the right</source>
        <translation>nach rechts</translation>
    </message>
    <message>
        <source>down</source>
        <translation>nach unten</translation>
    </message>
    <message>
        <source>turned</source>
        <translation>gedreht</translation>
    </message>
    <message>
        <source>scaled</source>
        <translation>vergrößert</translation>
    </message>
    <message>
        <source>Put a letter back</source>
        <translation>Einen Buchstaben zurücksetzen</translation>
    </message>
    <message>
        <source>Move a letter</source>
        <translation>Einen Buchstaben verschieben</translation>
    </message>
    <message>
        <source>letter “%1”</source>
        <translation>Buchstabe „%1“</translation>
    </message>
    <message>
        <source>no letter at the caret</source>
        <translation>kein Buchstabe an der Schreibmarke</translation>
    </message>
    <message>
        <source>Waiting</source>
        <translation>Wartend</translation>
    </message>
    <message>
        <source>not this time</source>
        <translation>diesmal nicht</translation>
    </message>
    <message>
        <source>in</source>
        <translation>in</translation>
    </message>
    <message>
        <source>mm</source>
        <translation>mm</translation>
    </message>
    <message>
        <source> in/s</source>
        <translation> in/s</translation>
    </message>
    <message>
        <source> mm/s</source>
        <translation> mm/s</translation>
    </message>
    <message>
        <source> in</source>
        <translation> in</translation>
    </message>
    <message>
        <source> ft</source>
        <translation> ft</translation>
    </message>
    <message>
        <source> mm</source>
        <translation> mm</translation>
    </message>
    <message>
        <source> m</source>
        <translation> m</translation>
    </message>
    <message>
        <source> s</source>
        <translation> s</translation>
    </message>
    <message>
        <source> min</source>
        <translation> min</translation>
    </message>
    <message>
        <source> h </source>
        <translation> h </translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 bis %2</translation>
    </message>
    <message>
        <source>A number is missing at the end.</source>
        <translation>Am Ende fehlt eine Zahl.</translation>
    </message>
    <message>
        <source>A number is expected instead of “%1”.</source>
        <translation>Statt „%1“ wird eine Zahl erwartet.</translation>
    </message>
    <message>
        <source>“%1” is no unit here; for lengths there are mm, cm, m, in, &quot;, ft, &apos; and pt.</source>
        <translation>„%1“ ist hier keine Einheit; für Längen gibt es mm, cm, m, in, &quot;, ft, &apos; und pt.</translation>
    </message>
    <message>
        <source>A length can be multiplied or divided by plain numbers only.</source>
        <translation>Eine Länge lässt sich nur mit reinen Zahlen malnehmen oder teilen.</translation>
    </message>
    <message>
        <source>Nothing can be divided by 0.</source>
        <translation>Durch 0 lässt sich nichts teilen.</translation>
    </message>
    <message>
        <source>A bracket is open, or closed too often.</source>
        <translation>Eine Klammer ist offen oder einmal zu oft geschlossen.</translation>
    </message>
    <message>
        <source>That is too large.</source>
        <translation>Das ist zu groß.</translation>
    </message>
    <message>
        <source>cut</source>
        <translation>schneiden</translation>
    </message>
    <message>
        <source>score</source>
        <translation>rillen</translation>
    </message>
    <message>
        <source>draw</source>
        <translation>zeichnen</translation>
    </message>
    <message>
        <source>foil</source>
        <translation>folieren</translation>
    </message>
    <message>
        <source>engrave</source>
        <translation>gravieren</translation>
    </message>
    <message>
        <source>emboss</source>
        <translation>prägen</translation>
    </message>
    <message>
        <source>print</source>
        <translation>drucken</translation>
    </message>
    <message>
        <source>guide</source>
        <translation>Hilfslinie</translation>
    </message>
    <message>
        <source>Take the colours of the stock that is at hand</source>
        <translation>Die Farben des Materials nehmen, das da ist</translation>
    </message>
</context>
<context>
    <name>RecentProjects</name>
    <message>
        <source>%1 in %2</source>
        <translation>%1 in %2</translation>
    </message>
</context>
<context>
    <name>core</name>
    <message>
        <source>SVG, one group a pass</source>
        <translation>SVG, eine Gruppe je Durchgang</translation>
    </message>
    <message>
        <source>DXF, one layer a role</source>
        <translation>DXF, eine Ebene je Rolle</translation>
    </message>
    <message>
        <source>HPGL for a cutter</source>
        <translation>HPGL für einen Schneider</translation>
    </message>
    <message>
        <source>G-code</source>
        <translation>G-Code</translation>
    </message>
    <message>
        <source>True-scale pages</source>
        <translation>Seiten in wahrer Größe</translation>
    </message>
    <message>
        <source>Picture of the sheets</source>
        <translation>Bild der Bögen</translation>
    </message>
    <message>
        <source>{stock}: the sheet reaches {past|mm1} past the mat; move it or make it smaller.</source>
        <translation>{stock}: Der Bogen ragt {past|mm1} über die Matte hinaus; verschieben oder kleiner machen.</translation>
    </message>
    <message>
        <source>{piece} reaches {past|mm1} past the mat; bring it onto the mat.</source>
        <translation>{piece} ragt {past|mm1} über die Matte hinaus; auf die Matte holen.</translation>
    </message>
    <message>
        <source>{piece} reaches {past|mm1} past the mat: it is {width|mm1} x {height|mm1} and the mat takes {room-width|mm1} x {room-height|mm1}; make it smaller or split it.</source>
        <translation>{piece} ragt {past|mm1} über die Matte hinaus: Es ist {width|mm1} x {height|mm1} groß, und die Matte nimmt {room-width|mm1} x {room-height|mm1}; kleiner machen oder teilen.</translation>
    </message>
    <message>
        <source>{piece} reaches {past|mm1} into the border that the rollers need; move it inward.</source>
        <translation>{piece} ragt {past|mm1} in den Rand, den die Rollen brauchen; nach innen schieben.</translation>
    </message>
    <message>
        <source>{piece} reaches {past|mm1} into the border that the rollers need: it is {width|mm1} x {height|mm1} and the usable area is {room-width|mm1} x {room-height|mm1}.</source>
        <translation>{piece} ragt {past|mm1} in den Rand, den die Rollen brauchen: Es ist {width|mm1} x {height|mm1} groß, und nutzbar sind {room-width|mm1} x {room-height|mm1}.</translation>
    </message>
    <message>
        <source>{parts|n:part gets:parts get} no number: beside {part} there is no room of 4 mm on its sheet. Leave a larger gap, or write it by hand.</source>
        <translation>{parts|n:Teil bekommt:Teile bekommen} keine Nummer: Neben {part} sind auf dem Bogen keine 4 mm Platz. Eine größere Lücke lassen oder von Hand schreiben.</translation>
    </message>
    <message>
        <source>{parts|n:part gets:parts get} no number: {part} is too small to carry it on its back. Write it by hand.</source>
        <translation>{parts|n:Teil bekommt:Teile bekommen} keine Nummer: {part} ist zu klein, um sie auf der Rückseite zu tragen. Von Hand schreiben.</translation>
    </message>
    <message>
        <source>{lines|n:line is:lines are} to be printed on sheet {sheet|0}, which is not printed before it is cut.</source>
        <translation>{lines|n:Linie soll:Linien sollen} auf Bogen {sheet|0} gedruckt werden, der vor dem Schneiden nicht gedruckt wird.</translation>
    </message>
    <message>
        <source>A picture is to be printed on sheet {sheet|0}, which is not printed before it is cut.</source>
        <translation>Auf Bogen {sheet|0} soll ein Bild gedruckt werden, der vor dem Schneiden nicht gedruckt wird.</translation>
    </message>
    <message>
        <source>Sheet {sheet|0} is printed first and too small for marks, which take {least|mm0} each way: lay it down to the tenth of a millimetre.</source>
        <translation>Bogen {sheet|0} wird zuerst gedruckt und ist zu klein für Marken, die in jeder Richtung {least|mm0} brauchen: auf den Zehntelmillimeter genau auflegen.</translation>
    </message>
    <message>
        <source>Sheet {sheet|0} is a scrap, and printers take whole sheets: print on another.</source>
        <translation>Bogen {sheet|0} ist ein Rest, und Drucker nehmen ganze Bögen: auf einen anderen drucken.</translation>
    </message>
    <message>
        <source>{lines|n:line comes:lines come} within {quiet|mm0} of the marks of sheet {sheet|0}, which then are not found; move what they belong to.</source>
        <translation>{lines|n:Linie kommt:Linien kommen} den Marken von Bogen {sheet|0} näher als {quiet|mm0}, die dann nicht gefunden werden; verschieben, wozu sie gehören.</translation>
    </message>
    <message>
        <source>Sheet {sheet|0} is printed first and the machine finds no marks: where it is laid, there it is cut.</source>
        <translation>Bogen {sheet|0} wird zuerst gedruckt, und die Maschine findet keine Marken: Wo er liegt, da wird er geschnitten.</translation>
    </message>
    <message>
        <source>{piece} reaches {past|mm1} past its sheet; move it or use a larger sheet.</source>
        <translation>{piece} ragt {past|mm1} über seinen Bogen hinaus; verschieben oder einen größeren Bogen nehmen.</translation>
    </message>
    <message>
        <source>{lines|n:line has:lines have} no tool and would be left out; choose one or add it to the rack.</source>
        <translation>{lines|n:Linie hat:Linien haben} kein Werkzeug und würden ausgelassen; eins wählen oder ins Werkzeugbord aufnehmen.</translation>
    </message>
    <message>
        <source>{tool} cannot {role|role}, and {lines|n:line wants:lines want} it to; choose a tool that can.</source>
        <translation>{tool} kann nicht {role|role}, und {lines|n:Linie will:Linien wollen} das; ein Werkzeug wählen, das es kann.</translation>
    </message>
    <message>
        <source>{stock} is {thick|mm2} thick and {tool} is meant for {most|mm2} at most; use a tool for thicker stock.</source>
        <translation>{stock} ist {thick|mm2} dick, und {tool} ist für höchstens {most|mm2} gedacht; ein Werkzeug für dickeres Material nehmen.</translation>
    </message>
    <message>
        <source>{stock} is {thick|mm2} thick; the machine is rated for {most|mm2}. Do not go past the rating: see the machine&apos;s manual.</source>
        <translation>{stock} ist {thick|mm2} dick; die Maschine ist für {most|mm2} zugelassen. Nicht darüber hinausgehen: siehe das Handbuch der Maschine.</translation>
    </message>
    <message>
        <source>{stock} asks for {force|0} gf to {role|role}; the machine gives {most|0} gf at most and the plan keeps to that.</source>
        <translation>{stock} verlangt {force|0} gf für „{role|role}“; die Maschine gibt höchstens {most|0} gf, und der Plan hält sich daran.</translation>
    </message>
    <message>
        <source>{lines|n:cut line does:cut lines do} not close; the widest gap is {gap|mm2}, so the part would hang on. Close the gap.</source>
        <translation>{lines|n:Schnittlinie schließt:Schnittlinien schließen} sich nicht; die weiteste Lücke ist {gap|mm2}, das Teil bliebe also hängen. Die Lücke schließen.</translation>
    </message>
    <message>
        <source>{lines|n:open line is:open lines are} set to cut and will only make a slit; should it be drawn or scored?</source>
        <translation>{lines|n:offene Linie soll:offene Linien sollen} geschnitten werden und geben nur einen Schlitz; zeichnen oder rillen?</translation>
    </message>
    <message>
        <source>{length|mm1} of cut lines lie on each other; the blade would go there twice and tear the edge. Remove the double.</source>
        <translation>{length|mm1} Schnittlinien liegen aufeinander; die Klinge ginge zweimal darüber und risse die Kante auf. Das Doppelte entfernen.</translation>
    </message>
    <message>
        <source>Pass {cut|0} cuts before pass {later|0} ({role|role}), which goes over {parts|n:part:parts} that it cut loose, the smallest of {smallest|area0}: they can shift. Cut last, or use a mat that holds more.</source>
        <translation>Durchgang {cut|0} schneidet vor Durchgang {later|0} ({role|role}), der über {parts|n:Teil:Teile} geht, die er gelöst hat, das kleinste mit {smallest|area0}: Sie können sich verschieben. Zuletzt schneiden oder eine Matte nehmen, die besser hält.</translation>
    </message>
    <message>
        <source>Pass {cut|0} cuts before pass {later|0} ({role|role}), which goes over {parts|n:part:parts} that it cut loose, the smallest of {smallest|area0}. A tacky mat holds that; see that nothing has moved.</source>
        <translation>Durchgang {cut|0} schneidet vor Durchgang {later|0} ({role|role}), der über {parts|n:Teil:Teile} geht, die er gelöst hat, das kleinste mit {smallest|area0}. Eine klebrige Matte hält das; nachsehen, dass sich nichts bewegt hat.</translation>
    </message>
    <message>
        <source>{lines|n:line is:lines are} to be cut on {stock}, which nobody cuts. The role was forgotten: engrave instead.</source>
        <translation>{lines|n:Linie soll:Linien sollen} auf {stock} geschnitten werden, was niemand schneidet. Die Rolle wurde vergessen: stattdessen gravieren.</translation>
    </message>
    <message>
        <source>{lines|n:line is:lines are} drawn on {stock}, which takes no ink: it smears, or beads. Try the pen by hand first; what does not write by hand does not write in the machine.</source>
        <translation>{lines|n:Linie wird:Linien werden} auf {stock} gezeichnet, was keine Tinte annimmt: Sie schmiert oder perlt. Den Stift erst von Hand probieren; was von Hand nicht schreibt, schreibt auch in der Maschine nicht.</translation>
    </message>
    <message>
        <source>{stock} asks for {wanted|0} gf to {role|role}; {tool} takes {least|0} to {most|0} gf, so it runs at {given|0} gf. Use another tool, or set the force anew after a test on scrap.</source>
        <translation>{stock} verlangt {wanted|0} gf für „{role|role}“; {tool} nimmt {least|0} bis {most|0} gf, also läuft es mit {given|0} gf. Ein anderes Werkzeug nehmen oder die Kraft nach einem Test auf einem Rest neu einstellen.</translation>
    </message>
    <message>
        <source>No holder takes {tool} ({kind}); say so of a holder, or use another tool.</source>
        <translation>Kein Halter nimmt {tool} ({kind|role}); bei einem Halter angeben oder ein anderes Werkzeug nehmen.</translation>
    </message>
    <message>
        <source>Pass {pass|0} runs {repeats|0} times, each time from its start: its strokes may land {apart|mm2} apart, with a tip of {tip|mm2}. Repeat stroke by stroke instead, without lifting.</source>
        <translation>Durchgang {pass|0} läuft {repeats|0}-mal, jedes Mal von vorn: Seine Striche können {apart|mm2} auseinander liegen, bei einer Spitze von {tip|mm2}. Stattdessen Strich für Strich wiederholen, ohne abzuheben.</translation>
    </message>
    <message>
        <source>Something on {stock} stands {stands|mm1} above the mat and comes under the bar, which clears {clears|mm1}, by {deep|mm0}. Turn the blank, move it, or leave lines out, so that it stays behind the bar; see the machine&apos;s manual.</source>
        <translation>Etwas auf {stock} steht {stands|mm1} über der Matte und kommt unter den Balken, der {clears|mm1} durchlässt, um {deep|mm0}. Den Rohling drehen, verschieben oder Linien auslassen, damit es hinter dem Balken bleibt; siehe das Handbuch der Maschine.</translation>
    </message>
    <message>
        <source>What stands up by {raised|mm1} lies in the lane of the roller at {lane|mm0}: slide the roller aside.</source>
        <translation>Was um {raised|mm1} hochsteht, liegt in der Spur der Rolle bei {lane|mm0}: die Rolle beiseiteschieben.</translation>
    </message>
    <message>
        <source>{stock} is {thick|mm1} thick and lies under the roller at {lane|mm0}: slide the roller aside, so that it does not ride up on the blank.</source>
        <translation>{stock} ist {thick|mm1} dick und liegt unter der Rolle bei {lane|mm0}: die Rolle beiseiteschieben, damit sie nicht auf den Rohling steigt.</translation>
    </message>
    <message>
        <source>{tool} will not last: {left|1} m are left of it, {needed|1} m are wanted, and it ends in pass {pass|0}. Have a new one at hand, and say in the rack that it is in.</source>
        <translation>{tool} wird nicht reichen: {left|1} m bleiben, {needed|1} m sind gefragt, und es endet in Durchgang {pass|0}. Ein neues bereithalten und im Werkzeugbord sagen, dass es eingesetzt ist.</translation>
    </message>
    <message>
        <source>{tool} has gone as far as it lasts, and {needed|1} m more are wanted from pass {pass|0} on. Change it, and say in the rack that a new one is in.</source>
        <translation>{tool} ist so weit gegangen, wie es reicht, und ab Durchgang {pass|0} sind {needed|1} m mehr gefragt. Wechseln und im Werkzeugbord sagen, dass ein neues eingesetzt ist.</translation>
    </message>
    <message>
        <source>{parts|n:part is:parts are} as small as {smallest|area0}; below {least|area0} a mat of {tack} tack may let go of them while they are cut. Use a mat that holds more, cut slower, or leave little bridges.</source>
        <translation>{parts|n:Teil ist:Teile sind} so klein wie {smallest|area0}; unter {least|area0} kann eine Matte, die {tack|role} hält, sie beim Schneiden loslassen. Eine Matte nehmen, die besser hält, langsamer schneiden oder kleine Stege lassen.</translation>
    </message>
    <message>
        <source>{lines|n:line is cut:lines are cut} as near as {strip|mm1} to the edge of {stock}: so narrow a strip tears or lifts. Move it inward.</source>
        <translation>{lines|n:Linie wird:Linien werden} nur {strip|mm1} vom Rand von {stock} geschnitten: Ein so schmaler Streifen reißt oder hebt sich. Nach innen schieben.</translation>
    </message>
    <message>
        <source>{piece}: dashes of {dash|mm1} with gaps of {gap|mm1} leave {left|0} of {grammage|0} g/m² along the fold, which tears by itself. Shorter dashes hold better.</source>
        <translation>{piece}: Striche von {dash|mm1} mit Lücken von {gap|mm1} lassen {left|0} von {grammage|0} g/m² entlang des Falzes, der von selbst reißt. Kürzere Striche halten besser.</translation>
    </message>
    <message>
        <source>{piece}: dashes of {dash|mm1} with gaps of {gap|mm1} leave {left|0} of {grammage|0} g/m² along the fold, which is hard to fold by hand. Longer dashes fold more easily.</source>
        <translation>{piece}: Striche von {dash|mm1} mit Lücken von {gap|mm1} lassen {left|0} von {grammage|0} g/m² entlang des Falzes, der sich schwer von Hand falten lässt. Längere Striche falten leichter.</translation>
    </message>
    <message>
        <source>Lines to {role|role} are left out of this run.</source>
        <translation>Linien der Rolle „{role|role}“ bleiben aus diesem Lauf.</translation>
    </message>
    <message>
        <source>The run waits {minutes|1} min for ink to dry before passes that go over it.</source>
        <translation>Der Lauf wartet {minutes|1} min, bis Tinte trocken ist, vor Durchgängen, die darübergehen.</translation>
    </message>
    <message>
        <source>{pens|n:pen draws:pens draw} (first: {first}). Scribble each on scrap until it runs evenly, and set its height over a scrap. Markers for heat transfer stand upright for 20 minutes first.</source>
        <translation>{pens|n:Stift zeichnet:Stifte zeichnen} (zuerst: {first}). Jeden auf einem Rest kritzeln lassen, bis er gleichmäßig läuft, und seine Höhe über einem Rest einstellen. Stifte zum Aufbügeln stehen vorher 20 Minuten aufrecht.</translation>
    </message>
    <message>
        <source>The order by hand needs {swaps|n:swap:swaps} more than the planner&apos;s own.</source>
        <translation>Die Ordnung von Hand braucht {swaps|n:Wechsel:Wechsel} mehr als die des Planers.</translation>
    </message>
    <message>
        <source>The order by hand needs {pauses|n:pause:pauses} more than the planner&apos;s own.</source>
        <translation>Die Ordnung von Hand braucht {pauses|n:Pause:Pausen} mehr als die des Planers.</translation>
    </message>
    <message>
        <source>The order by hand puts {mats|n:mat:mats} in more often than the planner&apos;s own.</source>
        <translation>Die Ordnung von Hand legt {mats|n:Matte:Matten} öfter ein als die des Planers.</translation>
    </message>
    <message>
        <source>Engraving takes {minutes|0} min: stay with it. Wipe swarf off, do not blow it at your face.</source>
        <translation>Gravieren dauert {minutes|0} min: dabeibleiben. Späne abwischen, nicht ins Gesicht blasen.</translation>
    </message>
    <message>
        <source>The heated tip works for {minutes|0} min: stay with it, and keep fingers away until it has cooled.</source>
        <translation>Die beheizte Spitze arbeitet {minutes|0} min: dabeibleiben und die Finger fernhalten, bis sie abgekühlt ist.</translation>
    </message>
    <message>
        <source>The job takes {hours|1} hours with its pauses: keep the computer from sleeping.</source>
        <translation>Der Auftrag dauert {hours|1} Stunden mit seinen Pausen: den Rechner nicht schlafen lassen.</translation>
    </message>
    <message>
        <source>{light} draws in pass {later|0}, after {dark} in pass {earlier|0} on the same sheet: its tip would take up the darker ink. Draw light inks first.</source>
        <translation>{light} zeichnet in Durchgang {later|0} nach {dark} in Durchgang {earlier|0} auf demselben Bogen: Seine Spitze nähme die dunklere Tinte auf. Helle Tinten zuerst zeichnen.</translation>
    </message>
    <message>
        <source>The job is mirrored here, once; leave the mirror switch of the machine off, or it comes out the right way round again.</source>
        <translation>Der Auftrag ist hier gespiegelt, einmal; den Spiegelschalter der Maschine aus lassen, sonst kommt er wieder richtig herum heraus.</translation>
    </message>
    <message>
        <source>{piece} is mirrored in its recipe and once more with the job: it comes out as drawn. Mirror exactly once.</source>
        <translation>{piece} ist in seinem Rezept gespiegelt und noch einmal mit dem Auftrag: Es kommt heraus wie gezeichnet. Genau einmal spiegeln.</translation>
    </message>
    <message>
        <source>{piece} is fused, but mirrored neither in its recipe nor with the job: it would come out turned over. Mirror exactly once.</source>
        <translation>{piece} wird aufgebügelt, ist aber weder in seinem Rezept noch mit dem Auftrag gespiegelt: Es käme seitenverkehrt heraus. Genau einmal spiegeln.</translation>
    </message>
    <message>
        <source>{piece} is engraved on {stock}, which is clear. Read through the blank, from the other side, it comes out the wrong way round; mirror it once for that.</source>
        <translation>{piece} wird auf {stock} graviert, das klar ist. Durch den Rohling von der anderen Seite gelesen, ist es seitenverkehrt; dafür einmal spiegeln.</translation>
    </message>
    <message>
        <source>The roles of {lines|n:line:lines} were guessed ({*roles}) and nobody has confirmed them.</source>
        <translation>Die Rollen von {lines|n:Linie:Linien} wurden geraten ({*roles}), und niemand hat sie bestätigt.</translation>
    </message>
    <message>
        <source>{part} and {other} lie on each other on their sheet ({over|area1}); move one of them, or pack the parts.</source>
        <translation>{part} und {other} liegen auf ihrem Bogen aufeinander ({over|area1}); eins davon verschieben oder die Teile packen.</translation>
    </message>
    <message>
        <source>{pairs|n:more pair of parts lies:more pairs of parts lie} on or too near each other there.</source>
        <translation>Dort {pairs|n:liegt ein weiteres Paar:weitere Paare} von Teilen auf- oder zu nah beieinander.</translation>
    </message>
    <message>
        <source>{part} and {other} are {apart|mm2} apart, nearer than the gap of {gap|mm2}; move one of them, or push the parts together anew.</source>
        <translation>{part} und {other} sind {apart|mm2} auseinander, näher als die Lücke von {gap|mm2}; eins davon verschieben oder die Teile neu zusammenschieben.</translation>
    </message>
    <message>
        <source>{part} reaches past the edge of its scrap, or of what tools reach there, with {off|area1}; move or turn it.</source>
        <translation>{part} ragt mit {off|area1} über den Rand seines Rests hinaus, oder über das, was Werkzeuge dort erreichen; verschieben oder drehen.</translation>
    </message>
    <message>
        <source>{stock}: {parts|n:part waits:parts wait} for room and will not be run, the first {part}. Lay {parts?it:them} by hand, add a sheet, or let parts be turned more freely.</source>
        <translation>{stock}: {parts|n:Teil wartet:Teile warten} auf Platz und laufen nicht, zuerst {part}. {parts?Es:Sie} von Hand auflegen, einen Bogen hinzufügen oder Teile freier drehen lassen.</translation>
    </message>
    <message>
        <source>{part} is {width|mm1} x {height|mm1}, and the largest sheet of {stock} has {room-width|mm1} x {room-height|mm1} within the tools&apos; reach: it fits no way round. Turned by {turn|1}° it would fit at {percent|1}% of its size. Make it smaller, divide it, or take a larger sheet.</source>
        <translation>{part} ist {width|mm1} x {height|mm1} groß, und der größte Bogen von {stock} hat {room-width|mm1} x {room-height|mm1} in Reichweite der Werkzeuge: Es passt auf keine Weise. Um {turn|1}° gedreht passte es mit {percent|1} % seiner Größe. Kleiner machen, teilen oder einen größeren Bogen nehmen.</translation>
    </message>
    <message>
        <source>{part} is {width|mm1} x {height|mm1}, and the largest sheet of {stock} has {room-width|mm1} x {room-height|mm1} within the tools&apos; reach: it fits no way round. It would fit at {percent|1}% of its size. Make it smaller, divide it, or take a larger sheet.</source>
        <translation>{part} ist {width|mm1} x {height|mm1} groß, und der größte Bogen von {stock} hat {room-width|mm1} x {room-height|mm1} in Reichweite der Werkzeuge: Es passt auf keine Weise. Es passte mit {percent|1} % seiner Größe. Kleiner machen, teilen oder einen größeren Bogen nehmen.</translation>
    </message>
    <message>
        <source>{part} lies {turn|1}° off the grain of {stock}; it may curl or fold badly. Turn it along the grain.</source>
        <translation>{part} liegt {turn|1}° neben dem Fadenlauf von {stock}; es kann sich wellen oder schlecht falten. Längs des Fadenlaufs drehen.</translation>
    </message>
    <message>
        <source>{part} lies turned by {turn|1}°, so its fill runs at {angle|1}° on the mat where {wanted|1}° are asked for. Turn the strokes back by as much, or lay the part unturned.</source>
        <translation>{part} liegt um {turn|1}° gedreht, also läuft seine Füllung auf der Matte bei {angle|1}°, wo {wanted|1}° verlangt sind. Die Striche um so viel zurückdrehen oder das Teil ungedreht legen.</translation>
    </message>
    <message>
        <source>{part} and {other} are kept together but do not lie as in the figure; lay them anew.</source>
        <translation>{part} und {other} werden zusammengehalten, liegen aber nicht wie in der Figur; neu auflegen.</translation>
    </message>
    <message>
        <source>{stock}: {sheets|n:sheet is:sheets are} laid out and the shelf has {has|0}.</source>
        <translation>{stock}: {sheets|n:Bogen ist:Bögen sind} aufgelegt, und das Regal hat {has|0}.</translation>
    </message>
    <message>
        <source>{stock}: {sheets|n:sheet is:sheets are} taken from something that is not on the shelf any more; put it back, or pack the parts anew.</source>
        <translation>{stock}: {sheets|n:Bogen ist:Bögen sind} aus etwas genommen, das nicht mehr im Regal ist; zurücklegen oder die Teile neu packen.</translation>
    </message>
    <message>
        <source>{mats|n:mat is:mats are} put in again for another tool. Lines of one sheet meet only where it goes in exactly as before: mark its corner on the machine, and see the machine&apos;s manual for how to align it.</source>
        <translation>{mats|n:Matte wird:Matten werden} für ein anderes Werkzeug noch einmal eingelegt. Linien eines Bogens passen nur aufeinander, wo er genau wie zuvor hineinkommt: seine Ecke an der Maschine markieren und im Handbuch der Maschine nachlesen, wie man ausrichtet.</translation>
    </message>
    <message>
        <source>Not this time: [{parts|n:part:parts} and ][{passes|n:pass:passes}] left out of the run. &quot;Run everything&quot; takes them in again.</source>
        <translation>Diesmal nicht: [{parts|n:Teil:Teile} und ][{passes|n:Durchgang:Durchgänge}] bleiben aus dem Lauf. „Alles laufen lassen“ nimmt sie wieder auf.</translation>
    </message>
    <message>
        <source>Not this time: {pieces|n:piece is:pieces are} left out of the run. &quot;Run everything&quot; takes them in again.</source>
        <translation>Diesmal nicht: {pieces|n:Stück bleibt:Stücke bleiben} aus dem Lauf. „Alles laufen lassen“ nimmt sie wieder auf.</translation>
    </message>
    <message>
        <source>{pieces|n:piece is hidden and is run:pieces are hidden and are run} all the same. Leave out what is not to be run this time.</source>
        <translation>{pieces|n:Stück ist ausgeblendet und läuft:Stücke sind ausgeblendet und laufen} trotzdem. Auslassen, was diesmal nicht laufen soll.</translation>
    </message>
    <message>
        <source>{piece}[, {step|step}]: {because}</source>
        <translation>{piece}[, {step|step}]: {because}</translation>
    </message>
    <message>
        <source>{piece}: between openings the sheet is only {width|mm2} wide, under {limit|mm2} in {necks|n:place:places}, and may tear. Make the openings narrower, or move them apart.</source>
        <translation>{piece}: Zwischen Öffnungen ist der Bogen nur {width|mm2} breit, unter {limit|mm2} an {necks|n:Stelle:Stellen}, und kann reißen. Die Öffnungen schmaler machen oder auseinanderrücken.</translation>
    </message>
    <message>
        <source>{piece}: a part of the sheet hangs by one end, {length|mm0} long and {width|mm1} wide: it bends and lifts. Hold its tip by a bridge.</source>
        <translation>{piece}: Ein Teil des Bogens hängt nur an einem Ende, {length|mm0} lang und {width|mm1} breit: Es biegt und hebt sich. Seine Spitze mit einem Steg halten.</translation>
    </message>
    <message>
        <source>{piece}: its {segments|0} short lines are too many to look for weak places (up to {most|0}). Look at a part of it as a piece of its own.</source>
        <translation>{piece}: Seine {segments|0} kurzen Linien sind zu viele, um schwache Stellen zu suchen (bis {most|0}). Einen Teil davon als eigenes Stück ansehen.</translation>
    </message>
    <message>
        <source>{piece}: {open|0} % of the stencil is open; with more than {limit|0} % it is limp. Leave a wide edge around it, or take a firmer stock.</source>
        <translation>{piece}: {open|0} % der Schablone sind offen; mit mehr als {limit|0} % ist sie schlaff. Ringsum einen breiten Rand lassen oder festeres Material nehmen.</translation>
    </message>
    <message>
        <source>{piece}: openings are narrower than {limit|mm2} in {places|n:place:places}; a brush or a sponge hardly fills them. Make them wider, or say under “Speaks up about” what yours fills.</source>
        <translation>{piece}: Öffnungen sind an {places|n:Stelle:Stellen} schmaler als {limit|mm2}; ein Pinsel oder Schwamm füllt sie kaum. Breiter machen oder unter „Spricht an“ sagen, was Ihrer füllt.</translation>
    </message>
    <message>
        <source>{piece}: only {margin|mm1} from the openings to the edge of the stencil, under {limit|mm1}: paint may get past it. Make the stencil larger, or tape paper around it.</source>
        <translation>{piece}: nur {margin|mm1} von den Öffnungen bis zum Rand der Schablone, unter {limit|mm1}: Farbe kann darüber hinausgeraten. Die Schablone größer machen oder Papier ringsum kleben.</translation>
    </message>
    <message>
        <source>{piece}: {contours|n:cut contour is:cut contours are} smaller than {limit|area1} (the smallest {least|area2}) and hard to weed. Drop them, or make the piece larger.</source>
        <translation>{piece}: {contours|n:Schnittkontur ist:Schnittkonturen sind} kleiner als {limit|area1} (die kleinste {least|area2}) und schwer zu entgittern. Weglassen oder das Stück größer machen.</translation>
    </message>
    <message>
        <source>{piece}: {parts|n:part is:parts are} nowhere wider than {limit|mm2} and would tear. Join {parts?it to its neighbour:them to their neighbours}, or drop {parts?it:them}.</source>
        <translation>{piece}: {parts|n:Teil ist:Teile sind} nirgends breiter als {limit|mm2} und würden reißen. Mit {parts?seinem Nachbarn:ihren Nachbarn} vereinen oder weglassen.</translation>
    </message>
    <message>
        <source>{piece}: the outward offset blunts {points|n:sharp point:sharp points}. Mitred corners keep them; an inset of a larger shape does too.</source>
        <translation>{piece}: Der Versatz nach außen stumpft {points|n:scharfe Spitze:scharfe Spitzen} ab. Gehrungsecken behalten sie; ein Einzug einer größeren Form ebenso.</translation>
    </message>
    <message>
        <source>{piece}: {lines|n:line reaches:lines reach} {past|mm1} past the clear part of the face and may fold out of sight. Make it smaller, or move it inward.</source>
        <translation>{piece}: {lines|n:Linie ragt:Linien ragen} {past|mm1} über den freien Teil des Gesichts und können außer Sicht umgeschlagen werden. Kleiner machen oder nach innen schieben.</translation>
    </message>
    <message>
        <source>{piece}: “{left}” and “{right}” do not touch; the gap is {gap|mm2}. Tighten them, or they come apart.</source>
        <translation>{piece}: „{left}“ und „{right}“ berühren sich nicht; die Lücke ist {gap|mm2}. Zusammenrücken, sonst fallen sie auseinander.</translation>
    </message>
    <message>
        <source>{piece}: “{left}” and “{right}” do not hold; they hardly touch. Tighten them, or they come apart.</source>
        <translation>{piece}: „{left}“ und „{right}“ halten nicht; sie berühren sich kaum. Zusammenrücken, sonst fallen sie auseinander.</translation>
    </message>
    <message>
        <source>{piece}: {pairs|0} more pairs of letters do not stand well. Close up the whole line.</source>
        <translation>{piece}: {pairs|0} weitere Buchstabenpaare stehen nicht gut. Die ganze Zeile zusammenrücken.</translation>
    </message>
    <message>
        <source>{piece}: the counter of “{letter}” is cut down to {left|area2} by its neighbour (it was {was|area2}). Loosen the pair.</source>
        <translation>{piece}: Der Innenraum von „{letter}“ wird von seinem Nachbarn auf {left|area2} beschnitten (er war {was|area2}). Das Paar lockern.</translation>
    </message>
    <message>
        <source>{piece}: the counter of “{letter}” is closed by its neighbour (it was {was|area2}). Loosen the pair.</source>
        <translation>{piece}: Der Innenraum von „{letter}“ wird von seinem Nachbarn geschlossen (er war {was|area2}). Das Paar lockern.</translation>
    </message>
    <message>
        <source>{piece}: {pairs|n:pair of letters overlaps:pairs of letters overlap}, the first “{left}” and “{right}”, and the blade would cut through the strokes. Join them.</source>
        <translation>{piece}: {pairs|n:Buchstabenpaar überlappt:Buchstabenpaare überlappen} sich, zuerst „{left}“ und „{right}“, und die Klinge schnitte durch die Striche. Vereinen.</translation>
    </message>
    <message>
        <source>{piece}: “{letter}” is only {thin|mm2} thin at its thinnest; under {limit|mm2} it tears. It takes capitals of {wanted|mm2} (now {cap|mm2}), or thicker strokes.</source>
        <translation>{piece}: „{letter}“ ist an der dünnsten Stelle nur {thin|mm2} dünn; unter {limit|mm2} reißt es. Es braucht Großbuchstaben von {wanted|mm2} (jetzt {cap|mm2}) oder dickere Striche.</translation>
    </message>
    <message>
        <source>{piece}: “{letter}” is only {thin|mm2} thin at its thinnest; the {tip|mm2} tip draws both its sides in one. It takes capitals of {wanted|mm2} (now {cap|mm2}), or thicker strokes.</source>
        <translation>{piece}: „{letter}“ ist an der dünnsten Stelle nur {thin|mm2} dünn; die Spitze von {tip|mm2} zeichnet beide Seiten in eins. Es braucht Großbuchstaben von {wanted|mm2} (jetzt {cap|mm2}) oder dickere Striche.</translation>
    </message>
    <message>
        <source>{piece}: the smallest counter or dot, in “{letter}”, has {area|area2} and is hard to weed. It takes capitals of {wanted|mm2} (now {cap|mm2}).</source>
        <translation>{piece}: Der kleinste Innenraum oder Punkt, in „{letter}“, hat {area|area2} und ist schwer zu entgittern. Es braucht Großbuchstaben von {wanted|mm2} (jetzt {cap|mm2}).</translation>
    </message>
    <message>
        <source>{piece}: the {tip|mm2} tip fills the counter of “{letter}”. Make the letters larger, or choose a finer tip.</source>
        <translation>{piece}: Die Spitze von {tip|mm2} füllt den Innenraum von „{letter}“. Die Buchstaben größer machen oder eine feinere Spitze wählen.</translation>
    </message>
    <message>
        <source>{piece}: capitals of {cap|mm2} are small for a tip of {tip|mm2}; loops fill up. From {wanted|mm2} they stay clear.</source>
        <translation>{piece}: Großbuchstaben von {cap|mm2} sind klein für eine Spitze von {tip|mm2}; Schlaufen laufen zu. Ab {wanted|mm2} bleiben sie offen.</translation>
    </message>
    <message>
        <source>{piece}: the typeface {face} says that its outlines may not be used freely. Read its licence, or choose another.</source>
        <translation>{piece}: Die Schrift {face} sagt, dass ihre Umrisse nicht frei benutzt werden dürfen. Ihre Lizenz lesen oder eine andere wählen.</translation>
    </message>
    <message>
        <source>{piece}: {shapes|n:shape:shapes}[ ({letters}[ and {more|0} more])][, the first at {x|1} × {y|1} mm on the mat,] {shapes?gets:get} no stroke at all and would stay hollow. Turn the strokes, bring them closer, or make the inset smaller.</source>
        <translation>{piece}: {shapes|n:Form:Formen}[ ({letters}[ und {more|0} mehr])][, zuerst bei {x|1} × {y|1} mm auf der Matte,] {shapes?bekommt:bekommen} gar keinen Strich und blieben hohl. Die Striche drehen, enger stellen oder den Einzug verkleinern.</translation>
    </message>
    <message>
        <source>{piece}: {shapes|n:shape:shapes}[ ({letters}[ and {more|0} more])][, the first at {x|1} × {y|1} mm on the mat,] {shapes?is:are} inked to {share|0} % where all together reach {together|0} %, and will look lighter. Turn the strokes, or bring them closer.</source>
        <translation>{piece}: {shapes|n:Form:Formen}[ ({letters}[ und {more|0} mehr])][, zuerst bei {x|1} × {y|1} mm auf der Matte,] {shapes?ist:sind} zu {share|0} % mit Tinte gedeckt, wo alle zusammen {together|0} % erreichen, und sehen heller aus. Die Striche drehen oder enger stellen.</translation>
    </message>
    <message>
        <source>{piece}: the {tip|mm2} tip inks {outside|area1} beyond the edge. An inset of half the tip keeps it inside.</source>
        <translation>{piece}: Die Spitze von {tip|mm2} färbt {outside|area1} jenseits des Randes. Ein Einzug um die halbe Spitze hält sie innen.</translation>
    </message>
    <message>
        <source>The job runs for {minutes|0} min, pass {pass|0} alone for {longest|0} min. Keep the computer from sleeping, and do not leave a heated or engraving run alone.</source>
        <translation>Der Auftrag läuft {minutes|0} min, Durchgang {pass|0} allein {longest|0} min. Den Rechner nicht schlafen lassen, und beim Heizen oder Gravieren dabeibleiben.</translation>
    </message>
    <message>
        <source>Bring onto the mat</source>
        <translation>Auf die Matte holen</translation>
    </message>
    <message>
        <source>Use {tool}</source>
        <translation>{tool} nehmen</translation>
    </message>
    <message>
        <source>Print the sheet first</source>
        <translation>Den Bogen zuerst drucken</translation>
    </message>
    <message>
        <source>Close the gaps</source>
        <translation>Die Lücken schließen</translation>
    </message>
    <message>
        <source>Remove the doubles</source>
        <translation>Das Doppelte entfernen</translation>
    </message>
    <message>
        <source>Cut last</source>
        <translation>Zuletzt schneiden</translation>
    </message>
    <message>
        <source>Engrave them</source>
        <translation>Gravieren</translation>
    </message>
    <message>
        <source>Repeat stroke by stroke</source>
        <translation>Strich für Strich wiederholen</translation>
    </message>
    <message>
        <source>Dashes of {dash|mm1}</source>
        <translation>Striche von {dash|mm1}</translation>
    </message>
    <message>
        <source>Draw light inks first</source>
        <translation>Helle Tinten zuerst zeichnen</translation>
    </message>
    <message>
        <source>Plan again</source>
        <translation>Neu planen</translation>
    </message>
    <message>
        <source>Divide it</source>
        <translation>Teilen</translation>
    </message>
    <message>
        <source>Find room</source>
        <translation>Platz finden</translation>
    </message>
    <message>
        <source>Mirror the piece</source>
        <translation>Das Stück spiegeln</translation>
    </message>
    <message>
        <source>Mirror with the job alone</source>
        <translation>Nur mit dem Auftrag spiegeln</translation>
    </message>
    <message>
        <source>Mirror the job</source>
        <translation>Den Auftrag spiegeln</translation>
    </message>
    <message>
        <source>Do not mirror the job</source>
        <translation>Den Auftrag nicht spiegeln</translation>
    </message>
    <message>
        <source>{per-inch|0} per inch: {width|mm1} x {height|mm1}</source>
        <translation>{per-inch|0} je Zoll: {width|mm1} x {height|mm1}</translation>
    </message>
    <message>
        <source>Units are {unit}: {width|mm1} x {height|mm1}</source>
        <translation>Einheit ist {unit}: {width|mm1} x {height|mm1}</translation>
    </message>
    <message>
        <source>Confirm the roles</source>
        <translation>Die Rollen bestätigen</translation>
    </message>
    <message>
        <source>Drop the tiny bits</source>
        <translation>Die winzigen Stückchen weglassen</translation>
    </message>
    <message>
        <source>Mitre the corners</source>
        <translation>Ecken auf Gehrung</translation>
    </message>
    <message>
        <source>Tighten “{left}” and “{right}” by {by|mm2}</source>
        <translation>„{left}“ und „{right}“ um {by|mm2} zusammenrücken</translation>
    </message>
    <message>
        <source>Loosen “{left}” and “{right}” by {by|mm2}</source>
        <translation>„{left}“ und „{right}“ um {by|mm2} lockern</translation>
    </message>
    <message>
        <source>Close up all letters</source>
        <translation>Alle Buchstaben zusammenrücken</translation>
    </message>
    <message>
        <source>Join the letters</source>
        <translation>Die Buchstaben vereinen</translation>
    </message>
    <message>
        <source>Make capitals {cap|mm2} high</source>
        <translation>Großbuchstaben {cap|mm2} hoch machen</translation>
    </message>
    <message>
        <source>Thicken by {by|mm2}</source>
        <translation>Um {by|mm2} verdicken</translation>
    </message>
    <message>
        <source>Make the openings {by|mm2} narrower</source>
        <translation>Die Öffnungen um {by|mm2} schmaler machen</translation>
    </message>
    <message>
        <source>Round the openings&apos; corners by {radius|mm2}</source>
        <translation>Die Ecken der Öffnungen mit {radius|mm2} runden</translation>
    </message>
    <message>
        <source>One more bridge there</source>
        <translation>Dort ein weiterer Steg</translation>
    </message>
    <message>
        <source>Turn the strokes to {angle|1}° as it lies</source>
        <translation>Die Striche auf {angle|1}° drehen, wie es liegt</translation>
    </message>
    <message>
        <source>Turn the strokes to {angle|1}°</source>
        <translation>Die Striche auf {angle|1}° drehen</translation>
    </message>
    <message>
        <source>Inset half the tip, {inset|mm2}</source>
        <translation>Um die halbe Spitze einziehen, {inset|mm2}</translation>
    </message>
    <message>
        <source>Inset {inset|mm2}</source>
        <translation>Um {inset|mm2} einziehen</translation>
    </message>
    <message>
        <source>Where tips touch</source>
        <translation>Wo Spitzen aufsetzen</translation>
    </message>
    <message>
        <source>A box for each tool with rulers on its top and left edge, and a cross by that tool. Read where the upright arm points on the top ruler and the level arm on the left one; teeth are half a millimetre apart.</source>
        <translation>Ein Kasten für jedes Werkzeug mit Linealen an der oberen und linken Kante und einem Kreuz von diesem Werkzeug. Ablesen, wohin der senkrechte Arm auf dem oberen und der waagerechte auf dem linken Lineal zeigt; die Zähne stehen einen halben Millimeter auseinander.</translation>
    </message>
    <message>
        <source>How wide a line is</source>
        <translation>Wie breit eine Linie ist</translation>
    </message>
    <message>
        <source>Pairs of lines ever farther apart, with that in hundredths of a millimetre. Find the first pair that shows stock between its lines.</source>
        <translation>Linienpaare, immer weiter auseinander, mit dem Abstand in hundertstel Millimetern. Das erste Paar finden, zwischen dessen Linien Material zu sehen ist.</translation>
    </message>
    <message>
        <source>How close a fill must be</source>
        <translation>Wie eng eine Füllung sein muss</translation>
    </message>
    <message>
        <source>Squares by spacing, in hundredths of a millimetre, at four angles. Find the widest spacing at which no stock shows at any angle.</source>
        <translation>Quadrate nach Abstand, in hundertstel Millimetern, in vier Winkeln. Den weitesten Abstand finden, bei dem in keinem Winkel Material zu sehen ist.</translation>
    </message>
    <message>
        <source>How long a tip lasts</source>
        <translation>Wie lange eine Spitze reicht</translation>
    </message>
    <message>
        <source>One long line in rows, begun at the bottom; every tenth is longer. Count the rows from the bottom until it fades or breaks off.</source>
        <translation>Eine lange Linie in Reihen, unten begonnen; jede zehnte ist länger. Die Reihen von unten zählen, bis sie verblasst oder abbricht.</translation>
    </message>
    <message>
        <source>What a stock needs</source>
        <translation>Was ein Material braucht</translation>
    </message>
    <message>
        <source>A square for each force and blade depth. Lift them: the least force and depth at which a square comes free and the mat below is unmarked is the one to keep.</source>
        <translation>Ein Quadrat für jede Kraft und Klingentiefe. Abheben: Die kleinste Kraft und Tiefe, bei der ein Quadrat frei wird und die Matte darunter ohne Spur bleibt, ist zu behalten.</translation>
    </message>
    <message>
        <source>How long 200 mm are</source>
        <translation>Wie lang 200 mm sind</translation>
    </message>
    <message>
        <source>A corner with two arms of 200 mm. Measure both with a steel ruler, from the middle of one line to the middle of the other. Do this before the cross on the mat.</source>
        <translation>Eine Ecke mit zwei Armen von 200 mm. Beide mit einem Stahllineal messen, von der Mitte der einen Linie zur Mitte der anderen. Vor dem Kreuz auf der Matte.</translation>
    </message>
    <message>
        <source>Where the head is</source>
        <translation>Wo der Kopf ist</translation>
    </message>
    <message>
        <source>A cross where two lines of the mat cross. Read how far right of them and below them it lies.</source>
        <translation>Ein Kreuz, wo sich zwei Linien der Matte kreuzen. Ablesen, wie weit rechts davon und darunter es liegt.</translation>
    </message>
    <message>
        <source>How far off tools land</source>
        <translation>Wie weit daneben Werkzeuge aufsetzen</translation>
    </message>
    <message>
        <source>One dot, then four places touched twenty times each. Measure how wide and how high each blot is.</source>
        <translation>Ein Punkt, dann vier Stellen, je zwanzigmal berührt. Messen, wie breit und hoch jeder Fleck ist.</translation>
    </message>
    <message>
        <source>[{tool}: ]right of 0</source>
        <translation>[{tool}: ]rechts von 0</translation>
    </message>
    <message>
        <source>[{tool}: ]below 0</source>
        <translation>[{tool}: ]unter 0</translation>
    </message>
    <message>
        <source>first pair with stock between</source>
        <translation>erstes Paar mit Material dazwischen</translation>
    </message>
    <message>
        <source>widest spacing that closes</source>
        <translation>weitester Abstand, der schließt</translation>
    </message>
    <message>
        <source>rows until it fades</source>
        <translation>Reihen, bis es verblasst</translation>
    </message>
    <message>
        <source>force that cuts it, gf</source>
        <translation>Kraft, die es schneidet, gf</translation>
    </message>
    <message>
        <source>depth mark that cuts it</source>
        <translation>Tiefenmarke, die es schneidet</translation>
    </message>
    <message>
        <source>the arm across</source>
        <translation>der Arm quer</translation>
    </message>
    <message>
        <source>the arm up</source>
        <translation>der Arm hinauf</translation>
    </message>
    <message>
        <source>right of the mat&apos;s lines</source>
        <translation>rechts von den Linien der Matte</translation>
    </message>
    <message>
        <source>below the mat&apos;s lines</source>
        <translation>unter den Linien der Matte</translation>
    </message>
    <message>
        <source>the single dot</source>
        <translation>der einzelne Punkt</translation>
    </message>
    <message>
        <source>blot {n|0}, across</source>
        <translation>Fleck {n|0}, quer</translation>
    </message>
    <message>
        <source>blot {n|0}, up and down</source>
        <translation>Fleck {n|0}, auf und ab</translation>
    </message>
    <message>
        <source>{before|0} passes, then {after|0}.</source>
        <translation>{before|0} Durchgänge, dann {after|0}.</translation>
    </message>
    <message>
        <source>Pass {pass}: {before}, then {after}.</source>
        <translation>Durchgang {pass}: {before}, dann {after}.</translation>
    </message>
    <message>
        <source>Pass {pass}: on {before}, then on {after}.</source>
        <translation>Durchgang {pass}: auf {before}, dann auf {after}.</translation>
    </message>
    <message>
        <source>Pass {pass}: {before|0} gf, then {after|0} gf.</source>
        <translation>Durchgang {pass}: {before|0} gf, dann {after|0} gf.</translation>
    </message>
    <message>
        <source>Pass {pass}: mark {before|0}, then mark {after|0}.</source>
        <translation>Durchgang {pass}: Marke {before|0}, dann Marke {after|0}.</translation>
    </message>
    <message>
        <source>Pass {pass}: {before|0} mm/s, then {after|0} mm/s.</source>
        <translation>Durchgang {pass}: {before|0} mm/s, dann {after|0} mm/s.</translation>
    </message>
    <message>
        <source>Pass {pass}: {before|n:time:times}, then {after|n:time:times}.</source>
        <translation>Durchgang {pass}: {before|n:Mal:Male}, dann {after|n:Mal:Male}.</translation>
    </message>
    <message>
        <source>The later one came out better.</source>
        <translation>Der spätere wurde besser.</translation>
    </message>
    <message>
        <source>The earlier one came out better.</source>
        <translation>Der frühere wurde besser.</translation>
    </message>
    <message>
        <source>{better|n:pass:passes} came out better later, {worse|n:pass:passes} worse.</source>
        <translation>{better|n:Durchgang wurde:Durchgänge wurden} später besser, {worse|n:Durchgang:Durchgänge} schlechter.</translation>
    </message>
    <message>
        <source>The tag of brass</source>
        <translation>Der Anhänger aus Messing</translation>
    </message>
    <message>
        <source>A tag of soft metal is to carry a star and a wave, both engraved. Nothing of it is to be cut.</source>
        <translation>Ein Anhänger aus weichem Metall soll einen Stern und eine Welle tragen, beide graviert. Nichts davon soll geschnitten werden.</translation>
    </message>
    <message>
        <source>Every line has one role. Look which of them say something else than engrave.</source>
        <translation>Jede Linie hat eine Rolle. Nachsehen, welche etwas anderes als gravieren sagt.</translation>
    </message>
    <message>
        <source>The label with a black edge</source>
        <translation>Das Schild mit schwarzem Rand</translation>
    </message>
    <message>
        <source>A label for the stall: the lantern drawn, the label cut. The first one came with a black rim that nobody wanted.</source>
        <translation>Ein Schild für den Stand: die Laterne gezeichnet, das Schild geschnitten. Das erste kam mit einem schwarzen Rand, den niemand wollte.</translation>
    </message>
    <message>
        <source>Somewhere two lines lie on each other. One of them must go, or become a guide.</source>
        <translation>Irgendwo liegen zwei Linien aufeinander. Eine muss fort oder zur Hilfslinie werden.</translation>
    </message>
    <message>
        <source>The label that would not come off</source>
        <translation>Das Schild, das nicht abging</translation>
    </message>
    <message>
        <source>The label is cut from heavy card, and stays in it.</source>
        <translation>Das Schild wird aus schwerem Karton geschnitten und bleibt darin stecken.</translation>
    </message>
    <message>
        <source>Passes has force and blade depth. What the other card gets is a good place to begin; go up a step at a time.</source>
        <translation>Durchgänge hat Kraft und Klingentiefe. Was der andere Karton bekommt, ist ein guter Anfang; eine Stufe nach der anderen hinaufgehen.</translation>
    </message>
    <message>
        <source>The scarred mat</source>
        <translation>Die zerkratzte Matte</translation>
    </message>
    <message>
        <source>The label is cut from thin paper. It comes off, and the mat below is cut as well.</source>
        <translation>Das Schild wird aus dünnem Papier geschnitten. Es geht ab, und die Matte darunter ist mitgeschnitten.</translation>
    </message>
    <message>
        <source>Thin stock takes little force and the first depth mark.</source>
        <translation>Dünnes Material braucht wenig Kraft und die erste Tiefenmarke.</translation>
    </message>
    <message>
        <source>The apron</source>
        <translation>Die Schürze</translation>
    </message>
    <message>
        <source>The lantern is cut from transfer film with its face down, and ironed onto an apron: there it is the wrong way round.</source>
        <translation>Die Laterne wird mit dem Gesicht nach unten aus Transferfolie geschnitten und auf eine Schürze gebügelt: Dort ist sie seitenverkehrt.</translation>
    </message>
    <message>
        <source>What is transferred is mirrored once, in the job or in the figure.</source>
        <translation>Was übertragen wird, wird einmal gespiegelt, im Auftrag oder in der Figur.</translation>
    </message>
    <message>
        <source>The window</source>
        <translation>Das Fenster</translation>
    </message>
    <message>
        <source>The lantern is cut from transfer film with its face down. Two people thought of mirroring it.</source>
        <translation>Die Laterne wird mit dem Gesicht nach unten aus Transferfolie geschnitten. Zwei Leute dachten ans Spiegeln.</translation>
    </message>
    <message>
        <source>Once in the figure and once in the job makes none at all. Take one of them back.</source>
        <translation>Einmal in der Figur und einmal im Auftrag ergibt gar keins. Eins davon zurücknehmen.</translation>
    </message>
    <message>
        <source>The shifted lantern</source>
        <translation>Die verschobene Laterne</translation>
    </message>
    <message>
        <source>On the label the lantern sits askew: the card moved while it was drawn.</source>
        <translation>Auf dem Schild sitzt die Laterne schief: Der Karton bewegte sich, während sie gezeichnet wurde.</translation>
    </message>
    <message>
        <source>What has been cut round may move. Look at the order of roles.</source>
        <translation>Was umschnitten ist, kann sich bewegen. Die Reihenfolge der Rollen ansehen.</translation>
    </message>
    <message>
        <source>The grey glow</source>
        <translation>Der graue Schein</translation>
    </message>
    <message>
        <source>A yellow glow behind a black lantern. The yellow pen came out grey, for good.</source>
        <translation>Ein gelber Schein hinter einer schwarzen Laterne. Der gelbe Stift kam grau heraus, für immer.</translation>
    </message>
    <message>
        <source>Light inks come before dark ones. Somebody put the passes in order by hand.</source>
        <translation>Helle Tinten kommen vor dunklen. Jemand hat die Durchgänge von Hand geordnet.</translation>
    </message>
    <message>
        <source>The tide table</source>
        <translation>Die Gezeitentafel</translation>
    </message>
    <message>
        <source>Twelve waves by the black pen, and the last ones are missing. There was ink left for {metres|1} m.</source>
        <translation>Zwölf Wellen mit dem schwarzen Stift, und die letzten fehlen. Es war noch Tinte für {metres|1} m da.</translation>
    </message>
    <message>
        <source>See how far the pen goes, and how often it goes over each line. Once is enough here.</source>
        <translation>Nachsehen, wie weit der Stift geht und wie oft über jede Linie. Einmal reicht hier.</translation>
    </message>
    <message>
        <source>Two pennants</source>
        <translation>Zwei Wimpel</translation>
    </message>
    <message>
        <source>Two pennants on two mats, each in two colours and cut out. The colours do not meet the cut as they should.</source>
        <translation>Zwei Wimpel auf zwei Matten, jeder in zwei Farben und ausgeschnitten. Die Farben passen nicht zum Schnitt, wie sie sollten.</translation>
    </message>
    <message>
        <source>Count how often each mat goes in. A mat that comes back never lies quite as it did.</source>
        <translation>Zählen, wie oft jede Matte hineingeht. Eine Matte, die wiederkommt, liegt nie ganz so wie zuvor.</translation>
    </message>
    <message>
        <source>The lid with a handle</source>
        <translation>Der Deckel mit Griff</translation>
    </message>
    <message>
        <source>A star for a metal lid. Its handle stands up, and the machine has a bar. The star may be anywhere on the lid.</source>
        <translation>Ein Stern für einen Metalldeckel. Sein Griff steht hoch, und die Maschine hat einen Balken. Der Stern darf überall auf dem Deckel sein.</translation>
    </message>
    <message>
        <source>Second look says what runs into the bar. Move the star well below the handle.</source>
        <translation>Der Zweite Blick sagt, was an den Balken stößt. Den Stern weit unter den Griff schieben.</translation>
    </message>
    <message>
        <source>The banner</source>
        <translation>Das Banner</translation>
    </message>
    <message>
        <source>The lantern by the chisel marker does not sit in its rim. On the tip chart its cross stood {right|mm1} right of 0 and {up|mm1} above it.</source>
        <translation>Die Laterne vom Keilstift sitzt nicht in ihrem Rand. Auf dem Spitzenblatt stand sein Kreuz {right|mm1} rechts von 0 und {up|mm1} darüber.</translation>
    </message>
    <message>
        <source>The rack keeps where a tip touches: right of the middle, and below it. Above is less than 0.</source>
        <translation>Das Werkzeugbord behält, wo eine Spitze aufsetzt: rechts der Mitte und darunter. Darüber ist weniger als 0.</translation>
    </message>
    <message>
        <source>Stars with round points</source>
        <translation>Sterne mit runden Spitzen</translation>
    </message>
    <message>
        <source>Stars of card whose points come out round. The blade&apos;s sheet says that its edge trails by {trail|mm1}.</source>
        <translation>Sterne aus Karton, deren Spitzen rund herauskommen. Auf dem Blatt der Klinge steht, dass ihre Schneide um {trail|mm1} nachläuft.</translation>
    </message>
    <message>
        <source>The rack keeps how far an edge trails; then the head leads it round corners.</source>
        <translation>Das Werkzeugbord behält, wie weit eine Schneide nachläuft; dann führt der Kopf sie um Ecken.</translation>
    </message>
    <message>
        <source>The box that does not close</source>
        <translation>Die Schachtel, die nicht schließt</translation>
    </message>
    <message>
        <source>A blank for a box must be 138 x 98 mm. On the scale sheet the arm across was {across|mm2} and the arm up {up|mm2}, where 200 mm were meant.</source>
        <translation>Ein Zuschnitt für eine Schachtel muss 138 x 98 mm groß sein. Auf dem Maßblatt war der Arm quer {across|mm2} und der Arm hinauf {up|mm2}, wo 200 mm gemeint waren.</translation>
    </message>
    <message>
        <source>At Sheets, the machine has how far it goes of what it is sent, in percent.</source>
        <translation>Bei Bögen hat die Maschine, wie weit sie geht von dem, was sie soll, in Prozent.</translation>
    </message>
    <message>
        <source>The fair&apos;s own transfer</source>
        <translation>Das eigene Transferbild des Fests</translation>
    </message>
    <message>
        <source>A lantern cut from transfer film, face down, with a star drawn in its middle; the mat is to stay whole. There is more than one thing wrong.</source>
        <translation>Eine Laterne, aus Transferfolie geschnitten, Gesicht nach unten, mit einem gezeichneten Stern in der Mitte; die Matte soll heil bleiben. Mehr als eins ist falsch.</translation>
    </message>
    <message>
        <source>Roles first, then which way round, then force and depth.</source>
        <translation>Erst die Rollen, dann wie herum, dann Kraft und Tiefe.</translation>
    </message>
    <message>
        <source>All that is wanted is there, in its place.</source>
        <translation>Alles Gewünschte ist da, an seinem Platz.</translation>
    </message>
    <message>
        <source>Nothing else is marked.</source>
        <translation>Sonst ist nichts gezogen.</translation>
    </message>
    <message>
        <source>What is cut is cut through.</source>
        <translation>Was geschnitten ist, ist durchgeschnitten.</translation>
    </message>
    <message>
        <source>The mat is unhurt.</source>
        <translation>Die Matte ist unverletzt.</translation>
    </message>
    <message>
        <source>Light ink is clean.</source>
        <translation>Helle Tinte ist sauber.</translation>
    </message>
    <message>
        <source>Nothing was marked on what had been cut loose.</source>
        <translation>Nichts wurde auf etwas gezogen, das schon gelöst war.</translation>
    </message>
    <message>
        <source>Second look has no error.</source>
        <translation>Der Zweite Blick hat keinen Fehler.</translation>
    </message>
    <message>
        <source>The run came to its end.</source>
        <translation>Der Lauf kam zu seinem Ende.</translation>
    </message>
    <message>
        <source>Sheet {sheet|0}: lay {stock}, {width|mm1} x {height|mm1}, {left|mm1} from the left and {top|mm1} from the top of the mat.</source>
        <translation>Bogen {sheet|0}: {stock} auflegen, {width|mm1} x {height|mm1}, {left|mm1} von links und {top|mm1} von oben auf der Matte.</translation>
    </message>
    <message>
        <source>Take the mat out and put in mat load {load|0} with {stocks}.</source>
        <translation>Die Matte herausnehmen und Mattenladung {load|0} mit {stocks} einlegen.</translation>
    </message>
    <message>
        <source>Leave the mat where it is.</source>
        <translation>Die Matte lassen, wo sie ist.</translation>
    </message>
    <message>
        <source>Sheet {sheet|0} is printed first, at 100 %. Lay it within {off|mm0} and 3 degrees of its place, the small dot at the top left; the cutter finds its marks.</source>
        <translation>Bogen {sheet|0} wird zuerst gedruckt, mit 100 %. Auf {off|mm0} und 3 Grad genau auflegen, der kleine Punkt oben links; der Schneider findet seine Marken.</translation>
    </message>
    <message>
        <source>Sheet {sheet|0} is printed first, at 100 %. Lay it exactly in its place: nothing looks for the print.</source>
        <translation>Bogen {sheet|0} wird zuerst gedruckt, mit 100 %. Genau an seinen Platz legen: Nichts sucht nach dem Druck.</translation>
    </message>
    <message>
        <source>Holder {holder|0}: put in {tool}[, set to mark {mark}].</source>
        <translation>Halter {holder|0}: {tool} einsetzen[, auf Marke {mark} stellen].</translation>
    </message>
    <message>
        <source>Holder {holder|0}: take out {out}, put in {tool}[, set to mark {mark}].</source>
        <translation>Halter {holder|0}: {out} herausnehmen, {tool} einsetzen[, auf Marke {mark} stellen].</translation>
    </message>
    <message>
        <source>Holder {holder|0}: keep {tool}, set it to mark {mark}.</source>
        <translation>Halter {holder|0}: {tool} lassen, auf Marke {mark} stellen.</translation>
    </message>
    <message>
        <source>Holder {holder|0}: keep {tool}.</source>
        <translation>Halter {holder|0}: {tool} lassen.</translation>
    </message>
    <message>
        <source>Holder {holder|0} stays empty.</source>
        <translation>Halter {holder|0} bleibt leer.</translation>
    </message>
    <message>
        <source>Pass {pass|0}: {tool}, {force|0} gf, {speed|0} mm/s[, {repeats|0} times over].</source>
        <translation>Durchgang {pass|0}: {tool}, {force|0} gf, {speed|0} mm/s[, {repeats|0}-mal darüber].</translation>
    </message>
    <message>
        <source>{tool} sits turned by {turn|0} degrees from its mark; see that it does.</source>
        <translation>{tool} sitzt um {turn|0} Grad gegen seine Marke gedreht; nachsehen, dass es so ist.</translation>
    </message>
    <message>
        <source>The blade is turned in at the lower left of the mat, in the border: keep that place free.</source>
        <translation>Die Klinge wird unten links auf der Matte eingedreht, im Rand: diese Stelle freihalten.</translation>
    </message>
    <message>
        <source>Tape {stock} on all four sides, outside of what is worked. Tape does not belong under the tip.</source>
        <translation>{stock} an allen vier Seiten festkleben, außerhalb dessen, was bearbeitet wird. Klebeband gehört nicht unter die Spitze.</translation>
    </message>
    <message>
        <source>Slide the hold-down rollers aside, so that none runs over the blank.</source>
        <translation>Die Andruckrollen beiseiteschieben, damit keine über den Rohling läuft.</translation>
    </message>
    <message>
        <source>Blade depth: set it for this stock. Make a test cut on a scrap.</source>
        <translation>Klingentiefe: für dieses Material einstellen. Auf einem Rest einen Testschnitt machen.</translation>
    </message>
    <message>
        <source>Make a test cut at that mark, on a scrap of the same stock.</source>
        <translation>Bei dieser Marke einen Testschnitt machen, auf einem Rest desselben Materials.</translation>
    </message>
    <message>
        <source>The machine sets the blade&apos;s depth. Make a test cut on a scrap of the same stock.</source>
        <translation>Die Maschine stellt die Klingentiefe ein. Auf einem Rest desselben Materials einen Testschnitt machen.</translation>
    </message>
    <message>
        <source>Stand heat-transfer pens upright for 20 minutes first, tip down.</source>
        <translation>Stifte zum Aufbügeln erst 20 Minuten aufrecht stellen, Spitze nach unten.</translation>
    </message>
    <message>
        <source>Scribble on scrap until the ink runs evenly.</source>
        <translation>Auf einem Rest kritzeln, bis die Tinte gleichmäßig läuft.</translation>
    </message>
    <message>
        <source>Set the tip&apos;s height over a scrap, so that it leaves no dot on the work.</source>
        <translation>Die Höhe der Spitze über einem Rest einstellen, damit sie keinen Punkt auf dem Werkstück lässt.</translation>
    </message>
    <message>
        <source>Tape the foil flat over the whole area. The heated tip burns: keep fingers away.</source>
        <translation>Die Folie flach über die ganze Fläche kleben. Die beheizte Spitze verbrennt: Finger fernhalten.</translation>
    </message>
    <message>
        <source>Lift shards with tape, never with fingers; do not blow dust at your face.</source>
        <translation>Splitter mit Klebeband abheben, nie mit Fingern; Staub nicht ins Gesicht blasen.</translation>
    </message>
    <message>
        <source>The scoring tip points straight down and does not turn in its holder.</source>
        <translation>Die Rillspitze zeigt gerade nach unten und dreht sich nicht in ihrem Halter.</translation>
    </message>
    <message>
        <source>Lay a soft sheet under the card: it is pressed, not cut.</source>
        <translation>Ein weiches Blatt unter den Karton legen: Er wird gedrückt, nicht geschnitten.</translation>
    </message>
    <message>
        <source>The job is mirrored here. Leave the machine&apos;s mirror switch off.</source>
        <translation>Der Auftrag ist hier gespiegelt. Den Spiegelschalter der Maschine aus lassen.</translation>
    </message>
    <message>
        <source>Wait {minutes|1} minutes until the ink is dry that pass {pass|0} goes over.</source>
        <translation>{minutes|1} Minuten warten, bis die Tinte trocken ist, über die Durchgang {pass|0} geht.</translation>
    </message>
    <message>
        <source>Blades and swarf cut skin. Stay with a heated or engraving run. The machine&apos;s manual, the material&apos;s data sheet and local rules come first.</source>
        <translation>Klingen und Späne schneiden Haut. Beim Heizen oder Gravieren dabeibleiben. Das Handbuch der Maschine, das Datenblatt des Materials und örtliche Vorschriften gehen vor.</translation>
    </message>
    <message>
        <source>{own|place} on the {of|place} of {piece}</source>
        <translation>{own|place} auf: {of|place} von {piece}</translation>
    </message>
    <message>
        <source>{own|place} {distance|mm2} right of the {of|place} of {piece}</source>
        <translation>{own|place} {distance|mm2} rechts von: {of|place} von {piece}</translation>
    </message>
    <message>
        <source>{own|place} {distance|mm2} left of the {of|place} of {piece}</source>
        <translation>{own|place} {distance|mm2} links von: {of|place} von {piece}</translation>
    </message>
    <message>
        <source>{own|place} {distance|mm2} below the {of|place} of {piece}</source>
        <translation>{own|place} {distance|mm2} unter: {of|place} von {piece}</translation>
    </message>
    <message>
        <source>{own|place} {distance|mm2} above the {of|place} of {piece}</source>
        <translation>{own|place} {distance|mm2} über: {of|place} von {piece}</translation>
    </message>
    <message>
        <source>{own|place} on the {of|place} of the sheet</source>
        <translation>{own|place} auf: {of|place} des Bogens</translation>
    </message>
    <message>
        <source>{own|place} {distance|mm2} right of the {of|place} of the sheet</source>
        <translation>{own|place} {distance|mm2} rechts von: {of|place} des Bogens</translation>
    </message>
    <message>
        <source>{own|place} {distance|mm2} left of the {of|place} of the sheet</source>
        <translation>{own|place} {distance|mm2} links von: {of|place} des Bogens</translation>
    </message>
    <message>
        <source>{own|place} {distance|mm2} below the {of|place} of the sheet</source>
        <translation>{own|place} {distance|mm2} unter: {of|place} des Bogens</translation>
    </message>
    <message>
        <source>{own|place} {distance|mm2} above the {of|place} of the sheet</source>
        <translation>{own|place} {distance|mm2} über: {of|place} des Bogens</translation>
    </message>
    <message>
        <source>evenly in the row from {from} to {to}</source>
        <translation>gleichmäßig in der Reihe von {from} bis {to}</translation>
    </message>
    <message>
        <source>evenly in the column from {from} to {to}</source>
        <translation>gleichmäßig in der Spalte von {from} bis {to}</translation>
    </message>
    <message>
        <source>in the middle between {from} and {to}</source>
        <translation>in der Mitte zwischen {from} und {to}</translation>
    </message>
    <message>
        <source>in the middle between the fold and the edge of {from}</source>
        <translation>in der Mitte zwischen dem Falz und dem Rand von {from}</translation>
    </message>
    <message>
        <source>left edge</source>
        <translation>linke Kante</translation>
    </message>
    <message>
        <source>right edge</source>
        <translation>rechte Kante</translation>
    </message>
    <message>
        <source>top edge</source>
        <translation>obere Kante</translation>
    </message>
    <message>
        <source>bottom edge</source>
        <translation>untere Kante</translation>
    </message>
    <message>
        <source>middle</source>
        <translation>Mitte</translation>
    </message>
    <message>
        <source>middle of the left half</source>
        <translation>Mitte der linken Hälfte</translation>
    </message>
    <message>
        <source>middle of the right half</source>
        <translation>Mitte der rechten Hälfte</translation>
    </message>
    <message>
        <source>middle of the upper half</source>
        <translation>Mitte der oberen Hälfte</translation>
    </message>
    <message>
        <source>middle of the lower half</source>
        <translation>Mitte der unteren Hälfte</translation>
    </message>
    <message>
        <source>fold</source>
        <translation>Falz</translation>
    </message>
    <message>
        <source>[{piece}: ]The file states no physical size; it is taken at {per-inch|2} per inch, which makes it {width|mm1} x {height|mm1}. At 96, 90 or 72 per inch it would be {width-96|mm1} x {height-96|mm1}, {width-90|mm1} x {height-90|mm1} or {width-72|mm1} x {height-72|mm1}: pick the one you know to be right.</source>
        <translation>[{piece}: ]Die Datei nennt keine wirkliche Größe; sie gilt mit {per-inch|2} je Zoll, also {width|mm1} x {height|mm1}. Mit 96, 90 oder 72 je Zoll wären es {width-96|mm1} x {height-96|mm1}, {width-90|mm1} x {height-90|mm1} oder {width-72|mm1} x {height-72|mm1}: die wählen, die stimmt.</translation>
    </message>
    <message>
        <source>{piece}: The file states no physical size. At {per-inch|2} per inch the artwork is {width|mm1} x {height|mm1}; pick the size you know to be right.</source>
        <translation>{piece}: Die Datei nennt keine wirkliche Größe. Mit {per-inch|2} je Zoll ist die Zeichnung {width|mm1} x {height|mm1} groß; die Größe wählen, die stimmt.</translation>
    </message>
    <message>
        <source>[{piece}: ]The file says no unit; one is taken as a millimetre, which makes it {width|mm1} x {height|mm1}: pick the unit that you know to be right.</source>
        <translation>[{piece}: ]Die Datei sagt keine Einheit; eine gilt als ein Millimeter, also {width|mm1} x {height|mm1}: die Einheit wählen, die stimmt.</translation>
    </message>
    <message>
        <source>{piece}: The file says no unit. With {unit} the artwork is {width|mm1} x {height|mm1}; pick the size you know to be right.</source>
        <translation>{piece}: Die Datei sagt keine Einheit. Mit {unit} ist die Zeichnung {width|mm1} x {height|mm1} groß; die Größe wählen, die stimmt.</translation>
    </message>
    <message>
        <source>[{piece}: ]{texts|n:text was:texts were} left out (&quot;{first}&quot;): turn text into outlines in the drawing program and bring the file in again.</source>
        <translation>[{piece}: ]{texts|n:Text wurde:Texte wurden} ausgelassen („{first}“): Text im Zeichenprogramm in Umrisse verwandeln und die Datei noch einmal hereinholen.</translation>
    </message>
    <message>
        <source>[{piece}: ]{pictures|n:picture was:pictures were} left out: only lines can be cut or drawn.</source>
        <translation>[{piece}: ]{pictures|n:Bild wurde:Bilder wurden} ausgelassen: Nur Linien lassen sich schneiden oder zeichnen.</translation>
    </message>
    <message>
        <source>[{piece}: ]The file has {pages} pages, of which page {page|0} came in; the others are brought in with Ctrl+I as well.</source>
        <translation>[{piece}: ]Die Datei hat {pages} Seiten, von denen Seite {page|0} hereinkam; die anderen kommen ebenso mit Strg+I herein.</translation>
    </message>
    <message>
        <source>[{piece}: ]The file scales its drawing to corners that only its machine knows; taken for A4 it is {width|mm1} x {height|mm1}: measure it and set its size.</source>
        <translation>[{piece}: ]Die Datei legt ihre Zeichnung auf Ecken, die nur ihre Maschine kennt; für A4 genommen ist sie {width|mm1} x {height|mm1} groß: nachmessen und ihre Größe einstellen.</translation>
    </message>
    <message>
        <source>[{piece}: ]{objects|n:thing is:things are} of a kind that is not drawn here and {objects?was:were} left out, {first} among them.</source>
        <translation>[{piece}: ]{objects|n:Ding ist:Dinge sind} von einer Art, die hier nicht gezeichnet wird, und {objects?wurde:wurden} ausgelassen, darunter {first}.</translation>
    </message>
    <message>
        <source>[{piece}: ]{objects|n:embedded object was:embedded objects were} left out.</source>
        <translation>[{piece}: ]{objects|n:eingebettetes Objekt wurde:eingebettete Objekte wurden} ausgelassen.</translation>
    </message>
    <message>
        <source>[{piece}: ]{count|n:outline breaks:outlines break} off in what describes {count?it:them}, first on line {line|0}: drawn as far as can be read.</source>
        <translation>[{piece}: ]{count|n:Umriss bricht:Umrisse brechen} in {count?seiner:ihrer} Beschreibung ab, zuerst in Zeile {line|0}: gezeichnet, so weit sie lesbar ist.</translation>
    </message>
    <message>
        <source>[{piece}: ]{count|n:value:values} in the file cannot be read and {count?was:were} passed over, first {name} on line {line|0}.</source>
        <translation>[{piece}: ]{count|n:Wert:Werte} in der Datei {count?ist nicht lesbar und wurde:sind nicht lesbar und wurden} übergangen, zuerst {name} in Zeile {line|0}.</translation>
    </message>
    <message>
        <source>[{piece}: ]{count|n:element lies:elements lie} farther off than any machine reaches and {count?was:were} left out, first a {name} on line {line|0}.</source>
        <translation>[{piece}: ]{count|n:Element liegt:Elemente liegen} weiter fort, als eine Maschine reicht, und {count?wurde:wurden} ausgelassen, zuerst ein {name} in Zeile {line|0}.</translation>
    </message>
    <message>
        <source>[{piece}: ]{count|n:copy is:copies are} of something that is not in the file and {count?was:were} left out, first of &quot;{name}&quot; on line {line|0}.</source>
        <translation>[{piece}: ]{count|n:Kopie ist:Kopien sind} von etwas, das nicht in der Datei ist, und {count?wurde:wurden} ausgelassen, zuerst von „{name}“ in Zeile {line|0}.</translation>
    </message>
    <message>
        <source>[{piece}: ]{count|n:copy is:copies are} of something in another file and {count?was:were} left out, first of &quot;{name}&quot; on line {line|0}. Other files are never opened; put it into this one.</source>
        <translation>[{piece}: ]{count|n:Kopie ist:Kopien sind} von etwas in einer anderen Datei und {count?wurde:wurden} ausgelassen, zuerst von „{name}“ in Zeile {line|0}. Andere Dateien werden nie geöffnet; in diese einsetzen.</translation>
    </message>
    <message>
        <source>[{piece}: ]{count|n:copy contains itself:copies contain themselves} and {count?was:were} left out, first of &quot;{name}&quot; on line {line|0}.</source>
        <translation>[{piece}: ]{count|n:Kopie enthält:Kopien enthalten} sich selbst und {count?wurde:wurden} ausgelassen, zuerst von „{name}“ in Zeile {line|0}.</translation>
    </message>
    <message>
        <source>[{piece}: ]{clips|n:clip or mask is:clips or masks are} not applied: the whole shapes came in.</source>
        <translation>[{piece}: ]{clips|n:Ausschnitt oder Maske ist:Ausschnitte oder Masken sind} nicht angewandt: Die ganzen Formen kamen herein.</translation>
    </message>
    <message>
        <source>[{piece}: ]{dots|n:dot drawn as a stroke of no length was:dots drawn as strokes of no length were} left out: draw a dot as a small circle and bring the file in again.</source>
        <translation>[{piece}: ]{dots|n:Punkt, gezeichnet als Strich ohne Länge, wurde:Punkte, gezeichnet als Striche ohne Länge, wurden} ausgelassen: einen Punkt als kleinen Kreis zeichnen und die Datei noch einmal hereinholen.</translation>
    </message>
    <message>
        <source>[{piece}: ]{elements|n:hidden element was:hidden elements were} left out.</source>
        <translation>[{piece}: ]{elements|n:verborgenes Element wurde:verborgene Elemente wurden} ausgelassen.</translation>
    </message>
    <message>
        <source>[{piece}: ]{lines|n:line has:lines have} neither stroke nor fill and came in as guide.</source>
        <translation>[{piece}: ]{lines|n:Linie hat:Linien haben} weder Strich noch Füllung und kamen als Hilfslinien herein.</translation>
    </message>
    <message>
        <source>[{piece}: ]{rules|n:style rule was:style rules were} not understood (&quot;{first}&quot;); check the colours of the lines.</source>
        <translation>[{piece}: ]{rules|n:Stilregel wurde:Stilregeln wurden} nicht verstanden („{first}“); die Farben der Linien prüfen.</translation>
    </message>
    <message>
        <source>[{piece}: ]The file holds no lines that a tool could follow.</source>
        <translation>[{piece}: ]Die Datei enthält keine Linien, denen ein Werkzeug folgen könnte.</translation>
    </message>
    <message>
        <source>[{piece}: ]{message}</source>
        <translation>[{piece}: ]{message}</translation>
    </message>
    <message>
        <source>A satin stitch {stitch|mm2} wide reaches past the underlap of {underlap|mm2}; make that at least {least|mm2}, or the stitch narrower.</source>
        <translation>Ein Satinstich von {stitch|mm2} reicht über die Unterlage von {underlap|mm2} hinaus; mindestens {least|mm2} daraus machen oder den Stich schmaler.</translation>
    </message>
    <message>
        <source>Parts narrower than {width|mm2} fray or have no room for the stitch ({area|area1}); thicken them, or leave them out.</source>
        <translation>Teile schmaler als {width|mm2} fransen aus oder haben keinen Platz für den Stich ({area|area1}); verdicken oder weglassen.</translation>
    </message>
    <message>
        <source>There is no number {layer|0} among the pieces of the picture; choose them, the first painted first.</source>
        <translation>Unter den Stücken des Bildes gibt es keine Nummer {layer|0}; sie wählen, das zuerst gemalte zuerst.</translation>
    </message>
    <message>
        <source>Nothing is left to be painted by number {layer|0} of the picture: later paint covers all of it.</source>
        <translation>Nichts bleibt mit Nummer {layer|0} des Bildes zu malen: Spätere Farbe deckt alles.</translation>
    </message>
    <message>
        <source>{islands|n:island falls:islands fall} out: no strip {width|mm2} wide runs straight from {islands?it:them} to the sheet. Make the bridges narrower.</source>
        <translation>{islands|n:Insel fällt:Inseln fallen} heraus: Kein Streifen von {width|mm2} läuft gerade von {islands?ihr:ihnen} zum Bogen. Die Stege schmaler machen.</translation>
    </message>
    <message>
        <source>{bridges|n:bridge is:bridges are} narrower than {width|mm2}, down to {narrowest|mm2}: the opening leaves no room for more. Make the shape larger, or ask for narrower bridges.</source>
        <translation>{bridges|n:Steg ist:Stege sind} schmaler als {width|mm2}, bis hinab zu {narrowest|mm2}: Die Öffnung lässt nicht mehr Platz. Die Form größer machen oder schmalere Stege verlangen.</translation>
    </message>
    <message>
        <source>A mesh every {mesh|mm2} is too fine, for this shape or for bridges {width|mm2} wide; islands are held one by one. Take a wider mesh.</source>
        <translation>Ein Netz alle {mesh|mm2} ist zu fein für diese Form oder für Stege von {width|mm2}; Inseln werden einzeln gehalten. Ein weiteres Netz nehmen.</translation>
    </message>
    <message>
        <source>The rows find no room in the shape. Make it larger, or the margin narrower.</source>
        <translation>Die Reihen finden keinen Platz in der Form. Größer machen oder den Rand schmaler.</translation>
    </message>
    <message>
        <source>There would be more than {most|0} stones. Take larger ones, a wider web, or fewer lines.</source>
        <translation>Es gäbe mehr als {most|0} Steine. Größere nehmen, mehr Abstand oder weniger Linien.</translation>
    </message>
    <message>
        <source>No stone of this size fits: its hole is {hole|mm2} wide. Take smaller stones, or make the shape larger.</source>
        <translation>Kein Stein dieser Größe passt: Sein Loch ist {hole|mm2} weit. Kleinere Steine nehmen oder die Form größer machen.</translation>
    </message>
    <message>
        <source>This version does not know the step &quot;{step}&quot;; it is kept and passed over.</source>
        <translation>Diese Version kennt den Schritt „{step}“ nicht; er wird behalten und übergangen.</translation>
    </message>
    <message>
        <source>This step could not be carried out ({why}); the lines are left as they were. Change a number a little, or switch it off.</source>
        <translation>Dieser Schritt war nicht auszuführen ({why}); die Linien blieben, wie sie waren. Eine Zahl ein wenig ändern oder ihn ausschalten.</translation>
    </message>
    <message>
        <source>This step could not be carried out (the kernel gave up on this shape); the lines are left as they were. Change a number a little, or switch it off.</source>
        <translation>Dieser Schritt war nicht auszuführen (der Rechenkern gab bei dieser Form auf); die Linien blieben, wie sie waren. Eine Zahl ein wenig ändern oder ihn ausschalten.</translation>
    </message>
    <message>
        <source>This step could not be carried out (more than 4,000 rings would lie one inside the other; a wider spacing takes fewer); the lines are left as they were. Change a number a little, or switch it off.</source>
        <translation>Dieser Schritt war nicht auszuführen (mehr als 4.000 Ringe lägen ineinander; ein weiterer Abstand braucht weniger); die Linien blieben, wie sie waren. Eine Zahl ein wenig ändern oder ihn ausschalten.</translation>
    </message>
    <message>
        <source>A piece it works with is gone.</source>
        <translation>Ein Stück, mit dem er arbeitet, ist fort.</translation>
    </message>
    <message>
        <source>A piece it works with depends on this one.</source>
        <translation>Ein Stück, mit dem er arbeitet, hängt von diesem ab.</translation>
    </message>
    <message>
        <source>The pieces it works with are gone or enclose nothing.</source>
        <translation>Die Stücke, mit denen er arbeitet, sind fort oder umschließen nichts.</translation>
    </message>
    <message>
        <source>There is no closed line to join.</source>
        <translation>Es gibt keine geschlossene Linie zu vereinen.</translation>
    </message>
    <message>
        <source>It takes two closed lines that overlap, or other pieces to cut away.</source>
        <translation>Es braucht zwei geschlossene Linien, die sich überlappen, oder andere Stücke zum Wegschneiden.</translation>
    </message>
    <message>
        <source>It takes two closed lines that overlap, or other pieces.</source>
        <translation>Es braucht zwei geschlossene Linien, die sich überlappen, oder andere Stücke.</translation>
    </message>
    <message>
        <source>There is no closed line to cut in two.</source>
        <translation>Es gibt keine geschlossene Linie entzweizuschneiden.</translation>
    </message>
    <message>
        <source>There is no closed line to divide by seams.</source>
        <translation>Es gibt keine geschlossene Linie durch Nähte zu teilen.</translation>
    </message>
    <message>
        <source>{seams|n:seam runs:seams run} through no material any more; take {seams?it:them} away, or divide the piece anew.</source>
        <translation>{seams|n:Naht läuft:Nähte laufen} durch kein Material mehr; wegnehmen oder das Stück neu teilen.</translation>
    </message>
    <message>
        <source>There is no closed line to divide.</source>
        <translation>Es gibt keine geschlossene Linie zu teilen.</translation>
    </message>
    <message>
        <source>There is no closed line to offset.</source>
        <translation>Es gibt keine geschlossene Linie zu versetzen.</translation>
    </message>
    <message>
        <source>Nothing is left: the shapes are narrower than twice the distance.</source>
        <translation>Nichts bleibt: Die Formen sind schmaler als der doppelte Abstand.</translation>
    </message>
    <message>
        <source>These two angles would flatten it to a line.</source>
        <translation>Diese beiden Winkel drückten es zu einer Linie.</translation>
    </message>
    <message>
        <source>It has no width to scale.</source>
        <translation>Es hat keine Breite zu vergrößern.</translation>
    </message>
    <message>
        <source>It has no height to scale.</source>
        <translation>Es hat keine Höhe zu vergrößern.</translation>
    </message>
    <message>
        <source>There is nothing to fit into.</source>
        <translation>Es gibt nichts, worin einzupassen wäre.</translation>
    </message>
    <message>
        <source>The margin leaves no room.</source>
        <translation>Der Rand lässt keinen Platz.</translation>
    </message>
    <message>
        <source>That would make more than 20,000 lines; ask for fewer copies.</source>
        <translation>Das gäbe mehr als 20.000 Linien; weniger Kopien verlangen.</translation>
    </message>
    <message>
        <source>Not one whole copy fits into the room; make it larger, or the copies smaller.</source>
        <translation>Nicht eine ganze Kopie passt in den Raum; ihn größer machen oder die Kopien kleiner.</translation>
    </message>
    <message>
        <source>There is no sheet to fill; give the size of the room.</source>
        <translation>Es gibt keinen Bogen zu füllen; die Größe des Raums angeben.</translation>
    </message>
    <message>
        <source>Choose the piece along whose line the copies are to stand.</source>
        <translation>Das Stück wählen, an dessen Linie die Kopien stehen sollen.</translation>
    </message>
    <message>
        <source>This arrangement does not go on endlessly from edge to edge: ask for an even number, or for another one.</source>
        <translation>Diese Anordnung geht nicht endlos von Kante zu Kante weiter: eine gerade Zahl oder eine andere verlangen.</translation>
    </message>
    <message>
        <source>The lines are open and enclose nothing to fill; close their gaps first.</source>
        <translation>Die Linien sind offen und umschließen nichts zu füllen; erst ihre Lücken schließen.</translation>
    </message>
    <message>
        <source>There is no closed line to fill.</source>
        <translation>Es gibt keine geschlossene Linie zu füllen.</translation>
    </message>
    <message>
        <source>{lines|n:open line stays:open lines stay} unfilled; close its gaps, or leave it out.</source>
        <translation>{lines|n:offene Linie bleibt:offene Linien bleiben} ungefüllt; die Lücken schließen oder auslassen.</translation>
    </message>
    <message>
        <source>No stroke fits: the shapes are narrower than the inset leaves room for.</source>
        <translation>Kein Strich passt: Die Formen sind schmaler, als der Einzug Platz lässt.</translation>
    </message>
    <message>
        <source>There is no picture to trace.</source>
        <translation>Es gibt kein Bild nachzuzeichnen.</translation>
    </message>
    <message>
        <source>Nothing is left of the picture; crop less.</source>
        <translation>Vom Bild bleibt nichts; weniger zuschneiden.</translation>
    </message>
    <message>
        <source>No outline was found: try another threshold, or invert the picture.</source>
        <translation>Kein Umriss wurde gefunden: eine andere Schwelle versuchen oder das Bild umkehren.</translation>
    </message>
    <message>
        <source>The card falls into {parts|0} parts: join it deeper.</source>
        <translation>Die Karte zerfällt in {parts|0} Teile: tiefer verbinden.</translation>
    </message>
    <message>
        <source>Front and back are joined over {joined|mm1} only, which may not hold; join it over {least|mm0} or more.</source>
        <translation>Vorder- und Rückseite sind nur über {joined|mm1} verbunden, was vielleicht nicht hält; über {least|mm0} oder mehr verbinden.</translation>
    </message>
    <message>
        <source>The cut disc must be larger than the visible face, or there is no rim to fold over.</source>
        <translation>Die geschnittene Scheibe muss größer sein als das sichtbare Gesicht, sonst gibt es keinen Rand umzuschlagen.</translation>
    </message>
    <message>
        <source>Only {rim|mm1} of stock are left above the hole and may tear; leave {least|mm0} or more.</source>
        <translation>Nur {rim|mm1} Material bleiben über dem Loch und können reißen; {least|mm0} oder mehr lassen.</translation>
    </message>
    <message>
        <source>The hole is as large as the ring; make it smaller than {most|mm1}.</source>
        <translation>Das Loch ist so groß wie der Ring; kleiner als {most|mm1} machen.</translation>
    </message>
    <message>
        <source>The margin leaves no room inside. Make it smaller, or the blank larger.</source>
        <translation>Der Rand lässt innen keinen Platz. Kleiner machen oder den Rohling größer.</translation>
    </message>
    <message>
        <source>The border inside does not fit; make it narrower.</source>
        <translation>Der Rahmen innen passt nicht; schmaler machen.</translation>
    </message>
    <message>
        <source>The circle is too small for all lines; make it larger.</source>
        <translation>Der Kreis ist zu klein für alle Zeilen; größer machen.</translation>
    </message>
    <message>
        <source>&quot;{feature}&quot; is no feature setting; write them as swsh, -liga or ss01=2.</source>
        <translation>„{feature}“ ist kein Schriftmerkmal; so schreiben: swsh, -liga oder ss01=2.</translation>
    </message>
    <message>
        <source>{face} has no letterform &quot;{form}&quot;.</source>
        <translation>{face} hat keine Buchstabenform „{form}“.</translation>
    </message>
    <message>
        <source>{face} has no letter for {letters}[ and {more|0} more]; it is left out. Choose another typeface, or other words.</source>
        <translation>{face} hat keinen Buchstaben für {letters}[ und {more|0} mehr]; er wird ausgelassen. Eine andere Schrift oder andere Wörter wählen.</translation>
    </message>
    <message>
        <source>{face} is damaged at {letters}[ and {more|0} more]; it is left out. Install the typeface anew.</source>
        <translation>{face} ist bei {letters}[ und {more|0} mehr] beschädigt; das wird ausgelassen. Die Schrift neu installieren.</translation>
    </message>
    <message>
        <source>Rectangle</source>
        <translation>Rechteck</translation>
    </message>
    <message>
        <source>Four straight sides.</source>
        <translation>Vier gerade Seiten.</translation>
    </message>
    <message>
        <source>Plain</source>
        <translation>Einfach</translation>
    </message>
    <message>
        <source>width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>corner radius</source>
        <translation>Eckenradius</translation>
    </message>
    <message>
        <source>Ellipse</source>
        <translation>Ellipse</translation>
    </message>
    <message>
        <source>A circle where both sizes are equal.</source>
        <translation>Ein Kreis, wo beide Größen gleich sind.</translation>
    </message>
    <message>
        <source>Polygon</source>
        <translation>Vieleck</translation>
    </message>
    <message>
        <source>Equal sides on a circle.</source>
        <translation>Gleiche Seiten auf einem Kreis.</translation>
    </message>
    <message>
        <source>sides</source>
        <translation>Seiten</translation>
    </message>
    <message>
        <source>across</source>
        <translation>quer</translation>
    </message>
    <message>
        <source>Star</source>
        <translation>Stern</translation>
    </message>
    <message>
        <source>Points on a circle, notches on a smaller one.</source>
        <translation>Spitzen auf einem Kreis, Kerben auf einem kleineren.</translation>
    </message>
    <message>
        <source>points</source>
        <translation>Spitzen</translation>
    </message>
    <message>
        <source>notch</source>
        <translation>Kerbe</translation>
    </message>
    <message>
        <source>Heart</source>
        <translation>Herz</translation>
    </message>
    <message>
        <source>Two round shoulders and a point.</source>
        <translation>Zwei runde Schultern und eine Spitze.</translation>
    </message>
    <message>
        <source>dip</source>
        <translation>Mulde</translation>
    </message>
    <message>
        <source>Leaf</source>
        <translation>Blatt</translation>
    </message>
    <message>
        <source>Two arcs meeting in points, with or without a vein.</source>
        <translation>Zwei Bögen, die sich in Spitzen treffen, mit oder ohne Ader.</translation>
    </message>
    <message>
        <source>vein to score</source>
        <translation>Ader zum Rillen</translation>
    </message>
    <message>
        <source>Ring</source>
        <translation>Ring</translation>
    </message>
    <message>
        <source>A disc with a round hole.</source>
        <translation>Eine Scheibe mit rundem Loch.</translation>
    </message>
    <message>
        <source>outside</source>
        <translation>außen</translation>
    </message>
    <message>
        <source>inside</source>
        <translation>innen</translation>
    </message>
    <message>
        <source>Arc</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Part of a circle, open.</source>
        <translation>Ein Teil eines Kreises, offen.</translation>
    </message>
    <message>
        <source>radius</source>
        <translation>Radius</translation>
    </message>
    <message>
        <source>from</source>
        <translation>von</translation>
    </message>
    <message>
        <source>sweep</source>
        <translation>Weite</translation>
    </message>
    <message>
        <source>Line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>One straight line.</source>
        <translation>Eine gerade Linie.</translation>
    </message>
    <message>
        <source>length</source>
        <translation>Länge</translation>
    </message>
    <message>
        <source>angle</source>
        <translation>Winkel</translation>
    </message>
    <message>
        <source>Wave</source>
        <translation>Welle</translation>
    </message>
    <message>
        <source>An even wave.</source>
        <translation>Eine gleichmäßige Welle.</translation>
    </message>
    <message>
        <source>rise</source>
        <translation>Hub</translation>
    </message>
    <message>
        <source>waves</source>
        <translation>Wellen</translation>
    </message>
    <message>
        <source>Scalloped border</source>
        <translation>Bogenrand</translation>
    </message>
    <message>
        <source>A frame of even half rounds.</source>
        <translation>Ein Rahmen aus gleichen Halbrunden.</translation>
    </message>
    <message>
        <source>bump</source>
        <translation>Buckel</translation>
    </message>
    <message>
        <source>bulging</source>
        <translation>gewölbt</translation>
    </message>
    <message>
        <source>outward</source>
        <translation>nach außen</translation>
    </message>
    <message>
        <source>inward</source>
        <translation>nach innen</translation>
    </message>
    <message>
        <source>Folding card</source>
        <translation>Faltkarte</translation>
    </message>
    <message>
        <source>Blank and fold from the finished size.</source>
        <translation>Zuschnitt und Falz nach dem fertigen Maß.</translation>
    </message>
    <message>
        <source>Made up</source>
        <translation>Gestaltet</translation>
    </message>
    <message>
        <source>folds</source>
        <translation>Falze</translation>
    </message>
    <message>
        <source>one, side by side</source>
        <translation>einer, Seite an Seite</translation>
    </message>
    <message>
        <source>two, three panels</source>
        <translation>zwei, drei Felder</translation>
    </message>
    <message>
        <source>opens</source>
        <translation>öffnet sich</translation>
    </message>
    <message>
        <source>sideways</source>
        <translation>seitwärts</translation>
    </message>
    <message>
        <source>upward</source>
        <translation>nach oben</translation>
    </message>
    <message>
        <source>scored</source>
        <translation>gerillt</translation>
    </message>
    <message>
        <source>perforated</source>
        <translation>perforiert</translation>
    </message>
    <message>
        <source>marked at the ends</source>
        <translation>an den Enden markiert</translation>
    </message>
    <message>
        <source>run past the edge</source>
        <translation>über den Rand hinaus</translation>
    </message>
    <message>
        <source>dash</source>
        <translation>Strich</translation>
    </message>
    <message>
        <source>gap</source>
        <translation>Lücke</translation>
    </message>
    <message>
        <source>Shaped card</source>
        <translation>Formkarte</translation>
    </message>
    <message>
        <source>A silhouette joined to its reflection along the fold.</source>
        <translation>Eine Silhouette, mit ihrem Spiegelbild am Falz verbunden.</translation>
    </message>
    <message>
        <source>outline</source>
        <translation>Umriss</translation>
    </message>
    <message>
        <source>heart</source>
        <translation>Herz</translation>
    </message>
    <message>
        <source>leaf</source>
        <translation>Blatt</translation>
    </message>
    <message>
        <source>ellipse</source>
        <translation>Ellipse</translation>
    </message>
    <message>
        <source>star</source>
        <translation>Stern</translation>
    </message>
    <message>
        <source>label</source>
        <translation>Schild</translation>
    </message>
    <message>
        <source>joined over</source>
        <translation>verbunden über</translation>
    </message>
    <message>
        <source>How deep the silhouette reaches past the fold.</source>
        <translation>Wie tief die Silhouette über den Falz reicht.</translation>
    </message>
    <message>
        <source>Label</source>
        <translation>Schild</translation>
    </message>
    <message>
        <source>A plate with bitten corners and bumps on its sides.</source>
        <translation>Eine Platte mit ausgebissenen Ecken und Buckeln an den Seiten.</translation>
    </message>
    <message>
        <source>corner bite</source>
        <translation>Eckenbiss</translation>
    </message>
    <message>
        <source>side bump</source>
        <translation>Seitenbuckel</translation>
    </message>
    <message>
        <source>drawn border inside</source>
        <translation>gezeichneter Rahmen innen</translation>
    </message>
    <message>
        <source>Tag</source>
        <translation>Anhänger</translation>
    </message>
    <message>
        <source>Cut corners at one end and a punched hole.</source>
        <translation>Geschnittene Ecken an einem Ende und ein Loch.</translation>
    </message>
    <message>
        <source>cut corner</source>
        <translation>Eckenschnitt</translation>
    </message>
    <message>
        <source>hole</source>
        <translation>Loch</translation>
    </message>
    <message>
        <source>hole from the end</source>
        <translation>Loch vom Ende</translation>
    </message>
    <message>
        <source>Pin badge</source>
        <translation>Ansteckknopf</translation>
    </message>
    <message>
        <source>The cut disc and the face that stays visible.</source>
        <translation>Die geschnittene Scheibe und das Gesicht, das sichtbar bleibt.</translation>
    </message>
    <message>
        <source>visible / cut</source>
        <translation>sichtbar / geschnitten</translation>
    </message>
    <message>
        <source>37 / 49 mm</source>
        <translation>37 / 49 mm</translation>
    </message>
    <message>
        <source>25 / 35 mm</source>
        <translation>25 / 35 mm</translation>
    </message>
    <message>
        <source>58 / 70 mm</source>
        <translation>58 / 70 mm</translation>
    </message>
    <message>
        <source>my own</source>
        <translation>eigenes Maß</translation>
    </message>
    <message>
        <source>visible</source>
        <translation>sichtbar</translation>
    </message>
    <message>
        <source>cut</source>
        <translation>schneiden</translation>
    </message>
    <message>
        <source>keep text clear of the rim</source>
        <translation>Text vom Rand freihalten</translation>
    </message>
    <message>
        <source>Blank</source>
        <translation>Rohling</translation>
    </message>
    <message>
        <source>What you design on, as guides with a safe margin: nothing of it is run.</source>
        <translation>Worauf gestaltet wird, als Hilfslinien mit sicherem Rand: Nichts davon läuft.</translation>
    </message>
    <message>
        <source>form</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>disc</source>
        <translation>Scheibe</translation>
    </message>
    <message>
        <source>square tile</source>
        <translation>quadratische Kachel</translation>
    </message>
    <message>
        <source>tag with a hole</source>
        <translation>Anhänger mit Loch</translation>
    </message>
    <message>
        <source>wrap for a glass</source>
        <translation>Hülle für ein Glas</translation>
    </message>
    <message>
        <source>across at the top</source>
        <translation>oben quer</translation>
    </message>
    <message>
        <source>Measured outside.</source>
        <translation>Außen gemessen.</translation>
    </message>
    <message>
        <source>across at the bottom</source>
        <translation>unten quer</translation>
    </message>
    <message>
        <source>tall</source>
        <translation>hoch</translation>
    </message>
    <message>
        <source>Upright, from the bottom to the top.</source>
        <translation>Aufrecht, von unten bis oben.</translation>
    </message>
    <message>
        <source>overlap</source>
        <translation>Überlappung</translation>
    </message>
    <message>
        <source>To glue its ends.</source>
        <translation>Um die Enden zu kleben.</translation>
    </message>
    <message>
        <source>safe margin</source>
        <translation>sicherer Rand</translation>
    </message>
    <message>
        <source>Envelope</source>
        <translation>Umschlag</translation>
    </message>
    <message>
        <source>A one-piece envelope for a card.</source>
        <translation>Ein Umschlag aus einem Stück für eine Karte.</translation>
    </message>
    <message>
        <source>card width</source>
        <translation>Kartenbreite</translation>
    </message>
    <message>
        <source>card height</source>
        <translation>Kartenhöhe</translation>
    </message>
    <message>
        <source>room around the card</source>
        <translation>Platz um die Karte</translation>
    </message>
    <message>
        <source>side flaps</source>
        <translation>Seitenklappen</translation>
    </message>
    <message>
        <source>Box</source>
        <translation>Schachtel</translation>
    </message>
    <message>
        <source>A tray box with glue tabs, or with a lid.</source>
        <translation>Eine Schachtel mit Klebelaschen oder mit Deckel.</translation>
    </message>
    <message>
        <source>depth</source>
        <translation>Tiefe</translation>
    </message>
    <message>
        <source>glue tab</source>
        <translation>Klebelasche</translation>
    </message>
    <message>
        <source>piece</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>tray</source>
        <translation>Schale</translation>
    </message>
    <message>
        <source>lid, a little larger</source>
        <translation>Deckel, etwas größer</translation>
    </message>
    <message>
        <source>lid larger by</source>
        <translation>Deckel größer um</translation>
    </message>
    <message>
        <source>Pieced unit</source>
        <translation>Genähter Block</translation>
    </message>
    <message>
        <source>Patches of fabric with their seams, to be sewn to a block of a finished size.</source>
        <translation>Stoffstücke mit Nahtzugabe, zu einem Block von fertigem Maß zu nähen.</translation>
    </message>
    <message>
        <source>unit</source>
        <translation>Einheit</translation>
    </message>
    <message>
        <source>half squares</source>
        <translation>halbe Quadrate</translation>
    </message>
    <message>
        <source>quarter squares</source>
        <translation>Viertelquadrate</translation>
    </message>
    <message>
        <source>a large and two small triangles</source>
        <translation>ein großes und zwei kleine Dreiecke</translation>
    </message>
    <message>
        <source>a square in a square</source>
        <translation>ein Quadrat im Quadrat</translation>
    </message>
    <message>
        <source>finished width</source>
        <translation>fertige Breite</translation>
    </message>
    <message>
        <source>seam allowance</source>
        <translation>Nahtzugabe</translation>
    </message>
    <message>
        <source>A quarter of an inch is usual for piecing.</source>
        <translation>Ein Viertelzoll ist beim Patchwork üblich.</translation>
    </message>
    <message>
        <source>seams drawn</source>
        <translation>Nähte gezeichnet</translation>
    </message>
    <message>
        <source>From other pieces</source>
        <translation>Aus anderen Stücken</translation>
    </message>
    <message>
        <source>The outline of other pieces; its first step says which.</source>
        <translation>Der Umriss anderer Stücke; der erste Schritt sagt welcher.</translation>
    </message>
    <message>
        <source>Traced picture</source>
        <translation>Nachgezeichnetes Bild</translation>
    </message>
    <message>
        <source>Outlines of a picture.</source>
        <translation>Umrisse eines Bildes.</translation>
    </message>
    <message>
        <source>Traced</source>
        <translation>Nachgezeichnet</translation>
    </message>
    <message>
        <source>print the picture</source>
        <translation>das Bild drucken</translation>
    </message>
    <message>
        <source>As it is, where its lines lie; these are for cutting then.</source>
        <translation>Wie es ist, wo seine Linien liegen; diese sind dann zum Schneiden.</translation>
    </message>
    <message>
        <source>colours</source>
        <translation>Farben</translation>
    </message>
    <message>
        <source>dark on light</source>
        <translation>dunkel auf hell</translation>
    </message>
    <message>
        <source>several colours</source>
        <translation>mehrere Farben</translation>
    </message>
    <message>
        <source>dark below</source>
        <translation>dunkel unter</translation>
    </message>
    <message>
        <source>invert</source>
        <translation>umkehren</translation>
    </message>
    <message>
        <source>count</source>
        <translation>Anzahl</translation>
    </message>
    <message>
        <source>layers</source>
        <translation>Lagen</translation>
    </message>
    <message>
        <source>stacked</source>
        <translation>gestapelt</translation>
    </message>
    <message>
        <source>side by side</source>
        <translation>nebeneinander</translation>
    </message>
    <message>
        <source>despeckle (px)</source>
        <translation>entflecken (px)</translation>
    </message>
    <message>
        <source>smoothing</source>
        <translation>Glättung</translation>
    </message>
    <message>
        <source>crop left</source>
        <translation>links weg</translation>
    </message>
    <message>
        <source>crop top</source>
        <translation>oben weg</translation>
    </message>
    <message>
        <source>crop right</source>
        <translation>rechts weg</translation>
    </message>
    <message>
        <source>crop bottom</source>
        <translation>unten weg</translation>
    </message>
    <message>
        <source>Lettering</source>
        <translation>Schriftzug</translation>
    </message>
    <message>
        <source>Words in a typeface, set, sized and bent.</source>
        <translation>Wörter in einer Schrift, gesetzt, bemessen und gebogen.</translation>
    </message>
    <message>
        <source>Words</source>
        <translation>Wörter</translation>
    </message>
    <message>
        <source>words</source>
        <translation>Wörter</translation>
    </message>
    <message>
        <source>typeface</source>
        <translation>Schrift</translation>
    </message>
    <message>
        <source>A name, or the path of a font file.</source>
        <translation>Ein Name oder der Pfad einer Schriftdatei.</translation>
    </message>
    <message>
        <source>sized by</source>
        <translation>bemessen nach</translation>
    </message>
    <message>
        <source>capitals</source>
        <translation>Großbuchstaben</translation>
    </message>
    <message>
        <source>line to line</source>
        <translation>Zeile zu Zeile</translation>
    </message>
    <message>
        <source>whole width</source>
        <translation>ganzer Breite</translation>
    </message>
    <message>
        <source>size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>letter spacing</source>
        <translation>Buchstabenabstand</translation>
    </message>
    <message>
        <source>Added after every letter.</source>
        <translation>Kommt nach jedem Buchstaben hinzu.</translation>
    </message>
    <message>
        <source>kerning</source>
        <translation>Unterschneidung</translation>
    </message>
    <message>
        <source>The spacing of pairs that the typeface asks for.</source>
        <translation>Die Abstände von Paaren, die die Schrift verlangt.</translation>
    </message>
    <message>
        <source>word spaces</source>
        <translation>Wortabstände</translation>
    </message>
    <message>
        <source>line spacing</source>
        <translation>Zeilenabstand</translation>
    </message>
    <message>
        <source>aligned</source>
        <translation>ausgerichtet</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>centred</source>
        <translation>mittig</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>spread out</source>
        <translation>verteilt</translation>
    </message>
    <message>
        <source>slant</source>
        <translation>Neigung</translation>
    </message>
    <message>
        <source>letter width</source>
        <translation>Buchstabenbreite</translation>
    </message>
    <message>
        <source>set on</source>
        <translation>gesetzt auf</translation>
    </message>
    <message>
        <source>a straight line</source>
        <translation>eine gerade Linie</translation>
    </message>
    <message>
        <source>a circle, heads out</source>
        <translation>einen Kreis, Köpfe außen</translation>
    </message>
    <message>
        <source>a circle, heads in</source>
        <translation>einen Kreis, Köpfe innen</translation>
    </message>
    <message>
        <source>turned by</source>
        <translation>gedreht um</translation>
    </message>
    <message>
        <source>drawn as</source>
        <translation>gezeichnet als</translation>
    </message>
    <message>
        <source>outlines</source>
        <translation>Umrisse</translation>
    </message>
    <message>
        <source>middle lines, approx.</source>
        <translation>Mittellinien, ungefähr</translation>
    </message>
    <message>
        <source>features</source>
        <translation>Merkmale</translation>
    </message>
    <message>
        <source>OpenType features: swsh, -liga, ss01[0:3].</source>
        <translation>OpenType-Merkmale: swsh, -liga, ss01[0:3].</translation>
    </message>
    <message>
        <source>axes</source>
        <translation>Achsen</translation>
    </message>
    <message>
        <source>Of a variable typeface: wght=600.</source>
        <translation>Einer variablen Schrift: wght=600.</translation>
    </message>
    <message>
        <source>letterforms</source>
        <translation>Buchstabenformen</translation>
    </message>
    <message>
        <source>Chosen forms by character: 4=a.swash.</source>
        <translation>Gewählte Formen nach Zeichen: 4=a.swash.</translation>
    </message>
    <message>
        <source>single letters</source>
        <translation>einzelne Buchstaben</translation>
    </message>
    <message>
        <source>Rows of six: character, space before, right, down, turn, percent.</source>
        <translation>Reihen zu sechs: Zeichen, Raum davor, rechts, hinunter, Drehung, Prozent.</translation>
    </message>
    <message>
        <source>Offset</source>
        <translation>Versatz</translation>
    </message>
    <message>
        <source>Outlines a chosen distance outside or inside.</source>
        <translation>Umrisse in gewähltem Abstand außen oder innen.</translation>
    </message>
    <message>
        <source>Outline</source>
        <translation>Umriss</translation>
    </message>
    <message>
        <source>by</source>
        <translation>um</translation>
    </message>
    <message>
        <source>side</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>corners</source>
        <translation>Ecken</translation>
    </message>
    <message>
        <source>round</source>
        <translation>rund</translation>
    </message>
    <message>
        <source>mitred</source>
        <translation>Gehrung</translation>
    </message>
    <message>
        <source>bevelled</source>
        <translation>abgeschrägt</translation>
    </message>
    <message>
        <source>mitre limit</source>
        <translation>Gehrungsgrenze</translation>
    </message>
    <message>
        <source>A mitred point reaches at most this many distances.</source>
        <translation>Eine Gehrungsspitze reicht höchstens so viele Abstände weit.</translation>
    </message>
    <message>
        <source>contours</source>
        <translation>Konturen</translation>
    </message>
    <message>
        <source>every one</source>
        <translation>jede</translation>
    </message>
    <message>
        <source>silhouette</source>
        <translation>Silhouette</translation>
    </message>
    <message>
        <source>merged into one</source>
        <translation>zu einer verschmolzen</translation>
    </message>
    <message>
        <source>fill holes under</source>
        <translation>Löcher füllen unter</translation>
    </message>
    <message>
        <source>original</source>
        <translation>Original</translation>
    </message>
    <message>
        <source>replaced</source>
        <translation>ersetzt</translation>
    </message>
    <message>
        <source>kept</source>
        <translation>behalten</translation>
    </message>
    <message>
        <source>kept, drawn</source>
        <translation>behalten, gezeichnet</translation>
    </message>
    <message>
        <source>how many</source>
        <translation>wie viele</translation>
    </message>
    <message>
        <source>A nested series.</source>
        <translation>Eine Folge ineinander.</translation>
    </message>
    <message>
        <source>reveal</source>
        <translation>Rand</translation>
    </message>
    <message>
        <source>lines</source>
        <translation>Linien</translation>
    </message>
    <message>
        <source>Empty: every line. Else roles or line names.</source>
        <translation>Leer: jede Linie. Sonst Rollen oder Liniennamen.</translation>
    </message>
    <message>
        <source>Thicken</source>
        <translation>Verdicken</translation>
    </message>
    <message>
        <source>Makes shapes and strokes thicker, or thinner when negative.</source>
        <translation>Macht Formen und Striche dicker, mit Minus dünner.</translation>
    </message>
    <message>
        <source>Of the whole stroke; half of it on either side.</source>
        <translation>Des ganzen Strichs; die Hälfte davon auf jeder Seite.</translation>
    </message>
    <message>
        <source>Join</source>
        <translation>Vereinen</translation>
    </message>
    <message>
        <source>One shape of all that overlap.</source>
        <translation>Eine Form aus allen, die sich überlappen.</translation>
    </message>
    <message>
        <source>Combine</source>
        <translation>Verbinden</translation>
    </message>
    <message>
        <source>also join</source>
        <translation>auch vereinen</translation>
    </message>
    <message>
        <source>Other pieces that become part of this one.</source>
        <translation>Andere Stücke, die Teil von diesem werden.</translation>
    </message>
    <message>
        <source>join</source>
        <translation>vereinen</translation>
    </message>
    <message>
        <source>everything</source>
        <translation>alles</translation>
    </message>
    <message>
        <source>layer by layer</source>
        <translation>Lage für Lage</translation>
    </message>
    <message>
        <source>Cut away</source>
        <translation>Wegschneiden</translation>
    </message>
    <message>
        <source>Removes what other shapes cover.</source>
        <translation>Entfernt, was andere Formen decken.</translation>
    </message>
    <message>
        <source>what these cover</source>
        <translation>was diese decken</translation>
    </message>
    <message>
        <source>None: upper lines of the piece from those below.</source>
        <translation>Keine: obere Linien des Stücks aus denen darunter.</translation>
    </message>
    <message>
        <source>Overlap</source>
        <translation>Schnittmenge</translation>
    </message>
    <message>
        <source>Keeps only what other shapes cover too.</source>
        <translation>Behält nur, was auch andere Formen decken.</translation>
    </message>
    <message>
        <source>shared with</source>
        <translation>gemeinsam mit</translation>
    </message>
    <message>
        <source>None: what all lines of the piece share.</source>
        <translation>Keine: was allen Linien des Stücks gemeinsam ist.</translation>
    </message>
    <message>
        <source>Divide</source>
        <translation>Teilen</translation>
    </message>
    <message>
        <source>Every fragment that overlapping shapes make.</source>
        <translation>Jedes Bruchstück, das sich überlappende Formen ergeben.</translation>
    </message>
    <message>
        <source>along</source>
        <translation>entlang</translation>
    </message>
    <message>
        <source>Trim under</source>
        <translation>Darunter beschneiden</translation>
    </message>
    <message>
        <source>Removes what upper layers hide, but for a tuck-under.</source>
        <translation>Entfernt, was obere Lagen verdecken, bis auf einen Rand darunter.</translation>
    </message>
    <message>
        <source>tuck-under</source>
        <translation>Rand darunter</translation>
    </message>
    <message>
        <source>under</source>
        <translation>unter</translation>
    </message>
    <message>
        <source>None: every piece above.</source>
        <translation>Keine: jedes Stück darüber.</translation>
    </message>
    <message>
        <source>drop slivers under</source>
        <translation>Splitter weglassen unter</translation>
    </message>
    <message>
        <source>Round corners</source>
        <translation>Ecken runden</translation>
    </message>
    <message>
        <source>Rounds corners to a radius.</source>
        <translation>Rundet Ecken auf einen Radius.</translation>
    </message>
    <message>
        <source>which</source>
        <translation>welche</translation>
    </message>
    <message>
        <source>all</source>
        <translation>alle</translation>
    </message>
    <message>
        <source>Fill</source>
        <translation>Füllen</translation>
    </message>
    <message>
        <source>Strokes that colour shapes in, for pens, foil and engraving tips.</source>
        <translation>Striche, die Formen ausmalen, für Stifte, Folien- und Gravierspitzen.</translation>
    </message>
    <message>
        <source>pattern</source>
        <translation>Muster</translation>
    </message>
    <message>
        <source>hatch</source>
        <translation>Schraffur</translation>
    </message>
    <message>
        <source>cross-hatch</source>
        <translation>Kreuzschraffur</translation>
    </message>
    <message>
        <source>zigzag, joined</source>
        <translation>Zickzack, verbunden</translation>
    </message>
    <message>
        <source>along the outline</source>
        <translation>am Umriss entlang</translation>
    </message>
    <message>
        <source>one spiral</source>
        <translation>eine Spirale</translation>
    </message>
    <message>
        <source>squares</source>
        <translation>Quadrate</translation>
    </message>
    <message>
        <source>lines to write on</source>
        <translation>Schreiblinien</translation>
    </message>
    <message>
        <source>dots in rows</source>
        <translation>Punkte in Reihen</translation>
    </message>
    <message>
        <source>strewn dots</source>
        <translation>gestreute Punkte</translation>
    </message>
    <message>
        <source>spacing</source>
        <translation>Abstand</translation>
    </message>
    <message>
        <source>Between strokes; the size of squares.</source>
        <translation>Zwischen Strichen; die Größe von Quadraten.</translation>
    </message>
    <message>
        <source>second angle</source>
        <translation>zweiter Winkel</translation>
    </message>
    <message>
        <source>inset</source>
        <translation>Einzug</translation>
    </message>
    <message>
        <source>Kept clear along the edge; half a tip keeps ink inside.</source>
        <translation>Bleibt am Rand frei; die halbe Spitze hält Tinte innen.</translation>
    </message>
    <message>
        <source>join ends within</source>
        <translation>Enden verbinden bis</translation>
    </message>
    <message>
        <source>Along the edge; 0 = never.</source>
        <translation>Am Rand entlang; 0 = nie.</translation>
    </message>
    <message>
        <source>edge drawn too</source>
        <translation>Rand mitgezeichnet</translation>
    </message>
    <message>
        <source>A stroke along the edge of the fill.</source>
        <translation>Ein Strich am Rand der Füllung.</translation>
    </message>
    <message>
        <source>shortest stroke</source>
        <translation>kürzester Strich</translation>
    </message>
    <message>
        <source>shifted by</source>
        <translation>verschoben um</translation>
    </message>
    <message>
        <source>throw</source>
        <translation>Wurf</translation>
    </message>
    <message>
        <source>Another number strews the dots another way.</source>
        <translation>Eine andere Zahl streut die Punkte anders.</translation>
    </message>
    <message>
        <source>second pass</source>
        <translation>zweiter Durchgang</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keiner</translation>
    </message>
    <message>
        <source>half a spacing on</source>
        <translation>einen halben Abstand weiter</translation>
    </message>
    <message>
        <source>turned by 90°</source>
        <translation>um 90° gedreht</translation>
    </message>
    <message>
        <source>fill</source>
        <translation>füllen</translation>
    </message>
    <message>
        <source>inside each shape</source>
        <translation>in jeder Form</translation>
    </message>
    <message>
        <source>between frame and shapes</source>
        <translation>zwischen Rahmen und Formen</translation>
    </message>
    <message>
        <source>strokes are</source>
        <translation>Striche werden</translation>
    </message>
    <message>
        <source>as their shapes</source>
        <translation>wie ihre Formen</translation>
    </message>
    <message>
        <source>drawn</source>
        <translation>gezeichnet</translation>
    </message>
    <message>
        <source>foiled</source>
        <translation>foliert</translation>
    </message>
    <message>
        <source>engraved</source>
        <translation>graviert</translation>
    </message>
    <message>
        <source>embossed</source>
        <translation>geprägt</translation>
    </message>
    <message>
        <source>left out</source>
        <translation>weggelassen</translation>
    </message>
    <message>
        <source>angle counts</source>
        <translation>Winkel zählt</translation>
    </message>
    <message>
        <source>on the piece</source>
        <translation>am Stück</translation>
    </message>
    <message>
        <source>on the mat</source>
        <translation>auf der Matte</translation>
    </message>
    <message>
        <source>Simplify</source>
        <translation>Vereinfachen</translation>
    </message>
    <message>
        <source>Fewer nodes, the same shape within a tolerance.</source>
        <translation>Weniger Knoten, dieselbe Form innerhalb einer Toleranz.</translation>
    </message>
    <message>
        <source>Clean up</source>
        <translation>Aufräumen</translation>
    </message>
    <message>
        <source>within</source>
        <translation>innerhalb</translation>
    </message>
    <message>
        <source>Smooth</source>
        <translation>Glätten</translation>
    </message>
    <message>
        <source>Evens out wobbles shorter than a length.</source>
        <translation>Gleicht Wackler aus, die kürzer sind als eine Länge.</translation>
    </message>
    <message>
        <source>over</source>
        <translation>über</translation>
    </message>
    <message>
        <source>keep corners over</source>
        <translation>Ecken behalten über</translation>
    </message>
    <message>
        <source>Drop small bits</source>
        <translation>Kleines weglassen</translation>
    </message>
    <message>
        <source>Leaves out contours under a size.</source>
        <translation>Lässt Konturen unter einer Größe weg.</translation>
    </message>
    <message>
        <source>smaller than</source>
        <translation>kleiner als</translation>
    </message>
    <message>
        <source>area under</source>
        <translation>Fläche unter</translation>
    </message>
    <message>
        <source>Drop contours</source>
        <translation>Konturen weglassen</translation>
    </message>
    <message>
        <source>Leaves out, or keeps, single contours that were clicked.</source>
        <translation>Lässt einzelne angeklickte Konturen weg oder behält nur sie.</translation>
    </message>
    <message>
        <source>clicked ones</source>
        <translation>angeklickte</translation>
    </message>
    <message>
        <source>kept alone</source>
        <translation>nur behalten</translation>
    </message>
    <message>
        <source>Leave out lines</source>
        <translation>Linien weglassen</translation>
    </message>
    <message>
        <source>Leaves out whole lines.</source>
        <translation>Lässt ganze Linien weg.</translation>
    </message>
    <message>
        <source>Line names, separated by commas.</source>
        <translation>Liniennamen, durch Kommas getrennt.</translation>
    </message>
    <message>
        <source>Fill holes</source>
        <translation>Löcher füllen</translation>
    </message>
    <message>
        <source>Fills holes, all or those under a size.</source>
        <translation>Füllt Löcher, alle oder die unter einer Größe.</translation>
    </message>
    <message>
        <source>under (0 = all)</source>
        <translation>unter (0 = alle)</translation>
    </message>
    <message>
        <source>Remove doubled lines</source>
        <translation>Doppelte entfernen</translation>
    </message>
    <message>
        <source>Keeps one of lines that lie on each other.</source>
        <translation>Behält eine von Linien, die aufeinander liegen.</translation>
    </message>
    <message>
        <source>Close gaps</source>
        <translation>Lücken schließen</translation>
    </message>
    <message>
        <source>Joins line ends that nearly meet.</source>
        <translation>Verbindet Linienenden, die sich fast treffen.</translation>
    </message>
    <message>
        <source>gaps under</source>
        <translation>Lücken unter</translation>
    </message>
    <message>
        <source>Dashes</source>
        <translation>Gestrichelt</translation>
    </message>
    <message>
        <source>Real dashes that meet corners evenly.</source>
        <translation>Wirkliche Striche, die Ecken gleichmäßig treffen.</translation>
    </message>
    <message>
        <source>Mirror</source>
        <translation>Spiegeln</translation>
    </message>
    <message>
        <source>Turns it over, alone or joined to the original.</source>
        <translation>Dreht es um, allein oder mit dem Original verbunden.</translation>
    </message>
    <message>
        <source>Place</source>
        <translation>Anordnen</translation>
    </message>
    <message>
        <source>an upright line</source>
        <translation>einer senkrechten Linie</translation>
    </message>
    <message>
        <source>a level line</source>
        <translation>einer waagerechten Linie</translation>
    </message>
    <message>
        <source>keep the original too</source>
        <translation>das Original auch behalten</translation>
    </message>
    <message>
        <source>apart</source>
        <translation>auseinander</translation>
    </message>
    <message>
        <source>Turn</source>
        <translation>Drehen</translation>
    </message>
    <message>
        <source>Turns it counter-clockwise.</source>
        <translation>Dreht es gegen den Uhrzeigersinn.</translation>
    </message>
    <message>
        <source>Slant</source>
        <translation>Schrägstellen</translation>
    </message>
    <message>
        <source>Slants it sideways or upward.</source>
        <translation>Stellt es seitwärts oder aufwärts schräg.</translation>
    </message>
    <message>
        <source>Scale</source>
        <translation>Vergrößern</translation>
    </message>
    <message>
        <source>Scales it to a size.</source>
        <translation>Bringt es auf eine Größe.</translation>
    </message>
    <message>
        <source>to</source>
        <translation>auf</translation>
    </message>
    <message>
        <source>longest side</source>
        <translation>längste Seite</translation>
    </message>
    <message>
        <source>percent</source>
        <translation>Prozent</translation>
    </message>
    <message>
        <source>fit other pieces</source>
        <translation>in andere Stücke einpassen</translation>
    </message>
    <message>
        <source>fit its sheet</source>
        <translation>in seinen Bogen einpassen</translation>
    </message>
    <message>
        <source>keep proportions</source>
        <translation>Seitenverhältnis behalten</translation>
    </message>
    <message>
        <source>margin</source>
        <translation>Rand</translation>
    </message>
    <message>
        <source>fit into</source>
        <translation>einpassen in</translation>
    </message>
    <message>
        <source>Repeat</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>Copies in rows, like bricks or a honeycomb, in a circle or along a path.</source>
        <translation>Kopien in Reihen, wie Ziegel oder Waben, im Kreis oder an einem Pfad.</translation>
    </message>
    <message>
        <source>in</source>
        <translation>in</translation>
    </message>
    <message>
        <source>a row</source>
        <translation>einer Reihe</translation>
    </message>
    <message>
        <source>a grid</source>
        <translation>einem Raster</translation>
    </message>
    <message>
        <source>bricks</source>
        <translation>Ziegeln</translation>
    </message>
    <message>
        <source>honeycomb</source>
        <translation>Waben</translation>
    </message>
    <message>
        <source>a circle</source>
        <translation>einem Kreis</translation>
    </message>
    <message>
        <source>a path</source>
        <translation>einem Pfad</translation>
    </message>
    <message>
        <source>set by</source>
        <translation>gegeben</translation>
    </message>
    <message>
        <source>Any two give the rest. The gap is that between shapes, a box gap that between the boxes around them.</source>
        <translation>Zwei davon ergeben das Übrige. Die Lücke ist die zwischen Formen, eine Kastenlücke die zwischen den Kästen darum.</translation>
    </message>
    <message>
        <source>number, box gap</source>
        <translation>Zahl, Kastenlücke</translation>
    </message>
    <message>
        <source>number, gap</source>
        <translation>Zahl, Lücke</translation>
    </message>
    <message>
        <source>number, pitch</source>
        <translation>Zahl, Schrittweite</translation>
    </message>
    <message>
        <source>number, room</source>
        <translation>Zahl, Raum</translation>
    </message>
    <message>
        <source>room, box gap</source>
        <translation>Raum, Kastenlücke</translation>
    </message>
    <message>
        <source>room, gap</source>
        <translation>Raum, Lücke</translation>
    </message>
    <message>
        <source>room, pitch</source>
        <translation>Raum, Schrittweite</translation>
    </message>
    <message>
        <source>Any two give the rest.</source>
        <translation>Zwei davon ergeben das Übrige.</translation>
    </message>
    <message>
        <source>number, radius</source>
        <translation>Zahl, Radius</translation>
    </message>
    <message>
        <source>radius, gap</source>
        <translation>Radius, Lücke</translation>
    </message>
    <message>
        <source>Across, or in all of a circle or path.</source>
        <translation>Quer, oder im ganzen Kreis oder Pfad.</translation>
    </message>
    <message>
        <source>rows</source>
        <translation>Reihen</translation>
    </message>
    <message>
        <source>Negative: boxes overlap.</source>
        <translation>Mit Minus überlappen die Kästen.</translation>
    </message>
    <message>
        <source>pitch</source>
        <translation>Schrittweite</translation>
    </message>
    <message>
        <source>From one to the next.</source>
        <translation>Von einem zum nächsten.</translation>
    </message>
    <message>
        <source>pitch of rows</source>
        <translation>Reihenweite</translation>
    </message>
    <message>
        <source>From row to row; 0: the same.</source>
        <translation>Von Reihe zu Reihe; 0: dieselbe.</translation>
    </message>
    <message>
        <source>across, 0 = sheet</source>
        <translation>quer, 0 = Bogen</translation>
    </message>
    <message>
        <source>Of the room; 0: what tools reach of the sheet.</source>
        <translation>Des Raums; 0: was Werkzeuge vom Bogen erreichen.</translation>
    </message>
    <message>
        <source>down, 0 = sheet</source>
        <translation>hinunter, 0 = Bogen</translation>
    </message>
    <message>
        <source>rows shifted by</source>
        <translation>Reihen versetzt um</translation>
    </message>
    <message>
        <source>each one</source>
        <translation>jedes</translation>
    </message>
    <message>
        <source>alike, p1</source>
        <translation>gleich, p1</translation>
    </message>
    <message>
        <source>pm, columns mirrored in turn</source>
        <translation>pm, Spalten abwechselnd gespiegelt</translation>
    </message>
    <message>
        <source>pg, columns upside down in turn</source>
        <translation>pg, Spalten abwechselnd auf dem Kopf</translation>
    </message>
    <message>
        <source>pmm, mirrored both ways</source>
        <translation>pmm, beidseits gespiegelt</translation>
    </message>
    <message>
        <source>p2, columns turned in turn</source>
        <translation>p2, Spalten abwechselnd gedreht</translation>
    </message>
    <message>
        <source>p4, four around a point</source>
        <translation>p4, vier um einen Punkt</translation>
    </message>
    <message>
        <source>p6, six around a point</source>
        <translation>p6, sechs um einen Punkt</translation>
    </message>
    <message>
        <source>mirrored, as on a chessboard</source>
        <translation>gespiegelt, wie auf dem Schachbrett</translation>
    </message>
    <message>
        <source>turned, as on a chessboard</source>
        <translation>gedreht, wie auf dem Schachbrett</translation>
    </message>
    <message>
        <source>at the edges</source>
        <translation>an den Kanten</translation>
    </message>
    <message>
        <source>Endless: what is cut off at one edge comes in at the other, so that sheets go on in each other.</source>
        <translation>Endlos: Was an einer Kante abgeschnitten wird, kommt an der anderen herein, sodass Bögen ineinander weitergehen.</translation>
    </message>
    <message>
        <source>whole ones</source>
        <translation>ganze</translation>
    </message>
    <message>
        <source>cut off</source>
        <translation>abgeschnitten</translation>
    </message>
    <message>
        <source>endless</source>
        <translation>endlos</translation>
    </message>
    <message>
        <source>turn with it</source>
        <translation>mitdrehen</translation>
    </message>
    <message>
        <source>The piece whose longest line is the path.</source>
        <translation>Das Stück, dessen längste Linie der Pfad ist.</translation>
    </message>
    <message>
        <source>Bridges</source>
        <translation>Stege</translation>
    </message>
    <message>
        <source>Strips that hold the islands of a stencil to the sheet.</source>
        <translation>Streifen, die die Inseln einer Schablone am Bogen halten.</translation>
    </message>
    <message>
        <source>Stencil</source>
        <translation>Schablone</translation>
    </message>
    <message>
        <source>wide</source>
        <translation>breit</translation>
    </message>
    <message>
        <source>Thin stocks ask for more. Long ones are made wider.</source>
        <translation>Dünnes Material verlangt mehr. Lange werden breiter gemacht.</translation>
    </message>
    <message>
        <source>by stock</source>
        <translation>nach Material</translation>
    </message>
    <message>
        <source>for each island</source>
        <translation>je Insel</translation>
    </message>
    <message>
        <source>as its size asks</source>
        <translation>wie ihre Größe verlangt</translation>
    </message>
    <message>
        <source>one</source>
        <translation>einer</translation>
    </message>
    <message>
        <source>two</source>
        <translation>zwei</translation>
    </message>
    <message>
        <source>three</source>
        <translation>drei</translation>
    </message>
    <message>
        <source>four</source>
        <translation>vier</translation>
    </message>
    <message>
        <source>run</source>
        <translation>laufen</translation>
    </message>
    <message>
        <source>upright</source>
        <translation>senkrecht</translation>
    </message>
    <message>
        <source>level</source>
        <translation>waagerecht</translation>
    </message>
    <message>
        <source>the shortest way</source>
        <translation>auf kürzestem Weg</translation>
    </message>
    <message>
        <source>two from</source>
        <translation>zwei ab</translation>
    </message>
    <message>
        <source>Islands as long as this have two.</source>
        <translation>Inseln ab dieser Länge haben zwei.</translation>
    </message>
    <message>
        <source>hold</source>
        <translation>halten</translation>
    </message>
    <message>
        <source>A mesh of bridges runs through every opening.</source>
        <translation>Ein Netz von Stegen läuft durch jede Öffnung.</translation>
    </message>
    <message>
        <source>each island</source>
        <translation>jede Insel</translation>
    </message>
    <message>
        <source>all by a mesh</source>
        <translation>alles durch ein Netz</translation>
    </message>
    <message>
        <source>mesh every</source>
        <translation>Netz alle</translation>
    </message>
    <message>
        <source>turned</source>
        <translation>gedreht</translation>
    </message>
    <message>
        <source>set by hand</source>
        <translation>von Hand gesetzt</translation>
    </message>
    <message>
        <source>Bridges where you want them.</source>
        <translation>Stege, wo Sie sie wollen.</translation>
    </message>
    <message>
        <source>Places without a bridge.</source>
        <translation>Stellen ohne Steg.</translation>
    </message>
    <message>
        <source>Applique</source>
        <translation>Applikation</translation>
    </message>
    <message>
        <source>Shapes of fabric: what is turned under, and what runs under their neighbours.</source>
        <translation>Stoffformen: was umgeschlagen wird und was unter Nachbarn läuft.</translation>
    </message>
    <message>
        <source>Fabric</source>
        <translation>Stoff</translation>
    </message>
    <message>
        <source>edge</source>
        <translation>Kante</translation>
    </message>
    <message>
        <source>Raw and fused are cut on the line and stitched over; reverse is an opening in the fabric on top.</source>
        <translation>Roh und aufgebügelt werden auf der Linie geschnitten und übernäht; umgekehrt ist eine Öffnung im Stoff darüber.</translation>
    </message>
    <message>
        <source>raw</source>
        <translation>roh</translation>
    </message>
    <message>
        <source>turned under</source>
        <translation>umgeschlagen</translation>
    </message>
    <message>
        <source>fused</source>
        <translation>aufgebügelt</translation>
    </message>
    <message>
        <source>reverse</source>
        <translation>umgekehrt</translation>
    </message>
    <message>
        <source>allowance</source>
        <translation>Zugabe</translation>
    </message>
    <message>
        <source>Turned under.</source>
        <translation>Umgeschlagen.</translation>
    </message>
    <message>
        <source>underlap</source>
        <translation>Unterlage</translation>
    </message>
    <message>
        <source>How far it runs under the pieces above, and only there.</source>
        <translation>Wie weit es unter die Stücke darüber läuft, und nur dort.</translation>
    </message>
    <message>
        <source>runs under</source>
        <translation>läuft unter</translation>
    </message>
    <message>
        <source>satin stitch</source>
        <translation>Satinstich</translation>
    </message>
    <message>
        <source>Its width, to see whether it covers the edge.</source>
        <translation>Seine Breite, um zu sehen, ob er die Kante deckt.</translation>
    </message>
    <message>
        <source>line inside</source>
        <translation>Linie innen</translation>
    </message>
    <message>
        <source>A drawn line to stitch along.</source>
        <translation>Eine gezeichnete Linie zum Nähen.</translation>
    </message>
    <message>
        <source>clips, notches</source>
        <translation>Kerben, Einschnitte</translation>
    </message>
    <message>
        <source>Where the allowance must be cut into to lie flat.</source>
        <translation>Wo die Zugabe eingeschnitten werden muss, um flach zu liegen.</translation>
    </message>
    <message>
        <source>turned over</source>
        <translation>umgedreht</translation>
    </message>
    <message>
        <source>Here, for the paper of the web on its back, instead of with the job.</source>
        <translation>Hier, für das Papier des Vlieses auf der Rückseite, statt mit dem Auftrag.</translation>
    </message>
    <message>
        <source>Move lines</source>
        <translation>Linien verschieben</translation>
    </message>
    <message>
        <source>Moves and turns some of the lines, as one copy of many.</source>
        <translation>Verschiebt und dreht einige der Linien, wie eine Kopie von vielen.</translation>
    </message>
    <message>
        <source>up</source>
        <translation>hinauf</translation>
    </message>
    <message>
        <source>Stones and studs</source>
        <translation>Steine und Nieten</translation>
    </message>
    <message>
        <source>Holes for stones along lines or all over shapes, no two nearer than holds.</source>
        <translation>Löcher für Steine an Linien entlang oder über Formen, keine zwei näher, als es hält.</translation>
    </message>
    <message>
        <source>stones</source>
        <translation>Steine</translation>
    </message>
    <message>
        <source>By common charts; measure yours, makers differ.</source>
        <translation>Nach gängigen Tabellen; eigene messen, Hersteller weichen ab.</translation>
    </message>
    <message>
        <source>SS 6, 2.0 mm</source>
        <translation>SS 6, 2,0 mm</translation>
    </message>
    <message>
        <source>SS 10, 2.8 mm</source>
        <translation>SS 10, 2,8 mm</translation>
    </message>
    <message>
        <source>SS 16, 4.0 mm</source>
        <translation>SS 16, 4,0 mm</translation>
    </message>
    <message>
        <source>SS 20, 4.8 mm</source>
        <translation>SS 20, 4,8 mm</translation>
    </message>
    <message>
        <source>SS 30, 6.4 mm</source>
        <translation>SS 30, 6,4 mm</translation>
    </message>
    <message>
        <source>another size</source>
        <translation>andere Größe</translation>
    </message>
    <message>
        <source>hole wider by</source>
        <translation>Loch weiter um</translation>
    </message>
    <message>
        <source>So that they drop in.</source>
        <translation>Damit sie hineinfallen.</translation>
    </message>
    <message>
        <source>web between</source>
        <translation>Steg dazwischen</translation>
    </message>
    <message>
        <source>What stays of the sheet between two holes.</source>
        <translation>Was vom Bogen zwischen zwei Löchern bleibt.</translation>
    </message>
    <message>
        <source>set</source>
        <translation>gesetzt</translation>
    </message>
    <message>
        <source>along the lines</source>
        <translation>an den Linien</translation>
    </message>
    <message>
        <source>inside the edge</source>
        <translation>innen am Rand</translation>
    </message>
    <message>
        <source>along the middle</source>
        <translation>an der Mitte</translation>
    </message>
    <message>
        <source>all over</source>
        <translation>überall</translation>
    </message>
    <message>
        <source>keep the lines</source>
        <translation>die Linien behalten</translation>
    </message>
    <message>
        <source>Fill a shape</source>
        <translation>Form ausfüllen</translation>
    </message>
    <message>
        <source>Rows of letters, each as large as the shape of another piece has room for.</source>
        <translation>Reihen von Buchstaben, jede so groß, wie die Form eines anderen Stücks Platz hat.</translation>
    </message>
    <message>
        <source>shape</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>straight</source>
        <translation>gerade</translation>
    </message>
    <message>
        <source>bent to the edge</source>
        <translation>zum Rand gebogen</translation>
    </message>
    <message>
        <source>between rows</source>
        <translation>zwischen Reihen</translation>
    </message>
    <message>
        <source>Placement template</source>
        <translation>Legeschablone</translation>
    </message>
    <message>
        <source>Outlines of other pieces to draw, numbered in the order in which they are laid down.</source>
        <translation>Umrisse anderer Stücke zum Zeichnen, nummeriert, wie sie hingelegt werden.</translation>
    </message>
    <message>
        <source>of</source>
        <translation>von</translation>
    </message>
    <message>
        <source>The lowest first.</source>
        <translation>Das unterste zuerst.</translation>
    </message>
    <message>
        <source>numbers</source>
        <translation>Nummern</translation>
    </message>
    <message>
        <source>Their height.</source>
        <translation>Ihre Höhe.</translation>
    </message>
    <message>
        <source>Grain arrow</source>
        <translation>Fadenpfeil</translation>
    </message>
    <message>
        <source>An arrow along the grain, to lay the pattern by.</source>
        <translation>Ein Pfeil längs des Fadenlaufs, um den Schnitt danach zu legen.</translation>
    </message>
    <message>
        <source>by size</source>
        <translation>nach Größe</translation>
    </message>
    <message>
        <source>off upright</source>
        <translation>neben der Senkrechten</translation>
    </message>
    <message>
        <source>Paint layer</source>
        <translation>Farblage</translation>
    </message>
    <message>
        <source>The plate of a stencil for one of several paints, with corners that register.</source>
        <translation>Die Platte einer Schablone für eine von mehreren Farben, mit Passecken.</translation>
    </message>
    <message>
        <source>picture</source>
        <translation>Bild</translation>
    </message>
    <message>
        <source>All of it, in the order of painting.</source>
        <translation>Alles davon, in der Reihenfolge des Malens.</translation>
    </message>
    <message>
        <source>order</source>
        <translation>Reihenfolge</translation>
    </message>
    <message>
        <source>1 is painted first.</source>
        <translation>1 wird zuerst gemalt.</translation>
    </message>
    <message>
        <source>paint</source>
        <translation>malen</translation>
    </message>
    <message>
        <source>under others</source>
        <translation>unter anderen</translation>
    </message>
    <message>
        <source>Filled: what later paint covers needs no bridges.</source>
        <translation>Gefüllt: Was spätere Farbe deckt, braucht keine Stege.</translation>
    </message>
    <message>
        <source>holes filled</source>
        <translation>Löcher gefüllt</translation>
    </message>
    <message>
        <source>as drawn</source>
        <translation>wie gezeichnet</translation>
    </message>
    <message>
        <source>runs under by</source>
        <translation>läuft darunter um</translation>
    </message>
    <message>
        <source>So that no gap is seen where paints meet.</source>
        <translation>Damit keine Lücke zu sehen ist, wo Farben sich treffen.</translation>
    </message>
    <message>
        <source>bleed margin</source>
        <translation>freier Rand</translation>
    </message>
    <message>
        <source>From the picture to the plate&apos;s edge.</source>
        <translation>Vom Bild bis zum Rand der Platte.</translation>
    </message>
    <message>
        <source>corner marks</source>
        <translation>Passmarken</translation>
    </message>
    <message>
        <source>Marked through the first plate, met by every later one.</source>
        <translation>Durch die erste Platte markiert, von jeder späteren getroffen.</translation>
    </message>
    <message>
        <source>Erase</source>
        <translation>Radieren</translation>
    </message>
    <message>
        <source>Leaves out every contour that lies wholly within a loop drawn on the bench.</source>
        <translation>Lässt jede Kontur weg, die ganz in einer auf dem Werktisch gezogenen Schlinge liegt.</translation>
    </message>
    <message>
        <source>loop</source>
        <translation>Schlinge</translation>
    </message>
    <message>
        <source>Cut in two</source>
        <translation>Entzweischneiden</translation>
    </message>
    <message>
        <source>Parts what is cut along a line drawn on the bench; it is carried on straight to the edges.</source>
        <translation>Teilt, was geschnitten wird, entlang einer auf dem Werktisch gezeichneten Linie; sie geht gerade bis zu den Rändern weiter.</translation>
    </message>
    <message>
        <source>line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>Seams</source>
        <translation>Nähte</translation>
    </message>
    <message>
        <source>Divides what is larger than its sheet into tiles that are joined again when it is made.</source>
        <translation>Teilt, was größer ist als sein Bogen, in Kacheln, die beim Zusammensetzen wieder verbunden werden.</translation>
    </message>
    <message>
        <source>seams</source>
        <translation>Nähte</translation>
    </message>
    <message>
        <source>Both ends of each.</source>
        <translation>Beide Enden von jeder.</translation>
    </message>
    <message>
        <source>pinned</source>
        <translation>festgesteckt</translation>
    </message>
    <message>
        <source>Middles of those that stay.</source>
        <translation>Mitten derer, die bleiben.</translation>
    </message>
    <message>
        <source>joined</source>
        <translation>verbunden</translation>
    </message>
    <message>
        <source>Overlapping: one tile runs on under the other, to be glued. Dovetails hold stiff stock.</source>
        <translation>Überlappend: Eine Kachel läuft unter der anderen weiter, zum Kleben. Schwalbenschwänze halten steifes Material.</translation>
    </message>
    <message>
        <source>edge to edge</source>
        <translation>Kante an Kante</translation>
    </message>
    <message>
        <source>overlapping</source>
        <translation>überlappend</translation>
    </message>
    <message>
        <source>by tabs</source>
        <translation>durch Laschen</translation>
    </message>
    <message>
        <source>dovetailed</source>
        <translation>mit Schwalbenschwanz</translation>
    </message>
    <message>
        <source>Of the glued strip; the height of tabs.</source>
        <translation>Des geklebten Streifens; die Höhe von Laschen.</translation>
    </message>
    <message>
        <source>score</source>
        <translation>rillen</translation>
    </message>
    <message>
        <source>draw</source>
        <translation>zeichnen</translation>
    </message>
    <message>
        <source>foil</source>
        <translation>folieren</translation>
    </message>
    <message>
        <source>engrave</source>
        <translation>gravieren</translation>
    </message>
    <message>
        <source>emboss</source>
        <translation>prägen</translation>
    </message>
    <message>
        <source>print</source>
        <translation>drucken</translation>
    </message>
    <message>
        <source>guide</source>
        <translation>Hilfslinie</translation>
    </message>
    <message>
        <source>blade</source>
        <translation>Klinge</translation>
    </message>
    <message>
        <source>scoring tip</source>
        <translation>Rillspitze</translation>
    </message>
    <message>
        <source>pen</source>
        <translation>Stift</translation>
    </message>
    <message>
        <source>pencil</source>
        <translation>Bleistift</translation>
    </message>
    <message>
        <source>chisel marker</source>
        <translation>Keilstift</translation>
    </message>
    <message>
        <source>foil tip</source>
        <translation>Folienspitze</translation>
    </message>
    <message>
        <source>engraving tip</source>
        <translation>Gravierspitze</translation>
    </message>
    <message>
        <source>embossing tip</source>
        <translation>Prägespitze</translation>
    </message>
    <message>
        <source>stippling point</source>
        <translation>Punktierspitze</translation>
    </message>
    <message>
        <source>other</source>
        <translation>anderes</translation>
    </message>
    <message>
        <source>a lively script whose letters touch</source>
        <translation>eine lebhafte Schreibschrift, deren Buchstaben sich berühren</translation>
    </message>
    <message>
        <source>a heavy script whose letters touch</source>
        <translation>eine kräftige Schreibschrift, deren Buchstaben sich berühren</translation>
    </message>
    <message>
        <source>bold capitals</source>
        <translation>fette Großbuchstaben</translation>
    </message>
    <message>
        <source>narrow, with other forms of letters</source>
        <translation>schmal, mit anderen Buchstabenformen</translation>
    </message>
    <message>
        <source>round strokes, even width</source>
        <translation>runde Striche, gleiche Breite</translation>
    </message>
    <message>
        <source>sturdy, with slab feet</source>
        <translation>stämmig, mit Serifenfüßen</translation>
    </message>
    <message>
        <source>a fine italic with swashes</source>
        <translation>eine feine Kursive mit Zierformen</translation>
    </message>
    <message>
        <source>one stroke, upright</source>
        <translation>ein Strich, aufrecht</translation>
    </message>
    <message>
        <source>one stroke, drawn a little finer</source>
        <translation>ein Strich, etwas feiner gezeichnet</translation>
    </message>
    <message>
        <source>one stroke, joined script</source>
        <translation>ein Strich, verbundene Schreibschrift</translation>
    </message>
    <message>
        <source>one stroke, upright cursive</source>
        <translation>ein Strich, aufrechte Kursive</translation>
    </message>
    <message>
        <source>Fine blade</source>
        <translation>Feine Klinge</translation>
    </message>
    <message>
        <source>Normal blade</source>
        <translation>Normale Klinge</translation>
    </message>
    <message>
        <source>Deep blade</source>
        <translation>Tiefe Klinge</translation>
    </message>
    <message>
        <source>Scoring tip</source>
        <translation>Rillspitze</translation>
    </message>
    <message>
        <source>Fine pen 0.4, black</source>
        <translation>Feiner Stift 0,4, schwarz</translation>
    </message>
    <message>
        <source>Pencil</source>
        <translation>Bleistift</translation>
    </message>
    <message>
        <source>Chisel marker 2.0</source>
        <translation>Keilstift 2,0</translation>
    </message>
    <message>
        <source>Foil tip 0.5</source>
        <translation>Folienspitze 0,5</translation>
    </message>
    <message>
        <source>Foil tip 1.2</source>
        <translation>Folienspitze 1,2</translation>
    </message>
    <message>
        <source>Engraving tip</source>
        <translation>Gravierspitze</translation>
    </message>
    <message>
        <source>Embossing tip</source>
        <translation>Prägespitze</translation>
    </message>
    <message>
        <source>Stippling point</source>
        <translation>Punktierspitze</translation>
    </message>
    <message>
        <source>Paper</source>
        <translation>Papier</translation>
    </message>
    <message>
        <source>Cover card 65 lb</source>
        <translation>Tonkarton 65 lb</translation>
    </message>
    <message>
        <source>Cover card 80 lb</source>
        <translation>Tonkarton 80 lb</translation>
    </message>
    <message>
        <source>Vinyl</source>
        <translation>Vinyl</translation>
    </message>
    <message>
        <source>Cotton, fusible-backed</source>
        <translation>Baumwolle mit Haftvlies</translation>
    </message>
    <message>
        <source>Felt</source>
        <translation>Filz</translation>
    </message>
    <message>
        <source>Stencil film</source>
        <translation>Schablonenfolie</translation>
    </message>
    <message>
        <source>Acrylic blank</source>
        <translation>Acrylrohling</translation>
    </message>
    <message>
        <source>Soft metal blank</source>
        <translation>Rohling aus weichem Metall</translation>
    </message>
    <message>
        <source>Two-holder cutter</source>
        <translation>Schneider mit zwei Haltern</translation>
    </message>
    <message>
        <source>cut disc</source>
        <translation>geschnitten</translation>
    </message>
    <message>
        <source>low</source>
        <translation>wenig</translation>
    </message>
    <message>
        <source>medium</source>
        <translation>mittelmäßig</translation>
    </message>
    <message>
        <source>high</source>
        <translation>stark</translation>
    </message>
    <message>
        <source>black</source>
        <translation>schwarz</translation>
    </message>
    <message>
        <source>dark grey</source>
        <translation>dunkelgrau</translation>
    </message>
    <message>
        <source>grey</source>
        <translation>grau</translation>
    </message>
    <message>
        <source>light grey</source>
        <translation>hellgrau</translation>
    </message>
    <message>
        <source>white</source>
        <translation>weiß</translation>
    </message>
    <message>
        <source>red</source>
        <translation>rot</translation>
    </message>
    <message>
        <source>dark red</source>
        <translation>dunkelrot</translation>
    </message>
    <message>
        <source>pink</source>
        <translation>rosa</translation>
    </message>
    <message>
        <source>orange</source>
        <translation>orange</translation>
    </message>
    <message>
        <source>amber</source>
        <translation>bernstein</translation>
    </message>
    <message>
        <source>yellow</source>
        <translation>gelb</translation>
    </message>
    <message>
        <source>gold</source>
        <translation>gold</translation>
    </message>
    <message>
        <source>brown</source>
        <translation>braun</translation>
    </message>
    <message>
        <source>dark brown</source>
        <translation>dunkelbraun</translation>
    </message>
    <message>
        <source>beige</source>
        <translation>beige</translation>
    </message>
    <message>
        <source>rust</source>
        <translation>rost</translation>
    </message>
    <message>
        <source>green</source>
        <translation>grün</translation>
    </message>
    <message>
        <source>dark green</source>
        <translation>dunkelgrün</translation>
    </message>
    <message>
        <source>lime</source>
        <translation>limette</translation>
    </message>
    <message>
        <source>olive</source>
        <translation>oliv</translation>
    </message>
    <message>
        <source>mint</source>
        <translation>mint</translation>
    </message>
    <message>
        <source>teal</source>
        <translation>petrol</translation>
    </message>
    <message>
        <source>turquoise</source>
        <translation>türkis</translation>
    </message>
    <message>
        <source>sky blue</source>
        <translation>himmelblau</translation>
    </message>
    <message>
        <source>blue</source>
        <translation>blau</translation>
    </message>
    <message>
        <source>navy</source>
        <translation>marine</translation>
    </message>
    <message>
        <source>purple</source>
        <translation>purpur</translation>
    </message>
    <message>
        <source>violet</source>
        <translation>violett</translation>
    </message>
    <message>
        <source>lilac</source>
        <translation>flieder</translation>
    </message>
    <message>
        <source>magenta</source>
        <translation>magenta</translation>
    </message>
    <message>
        <source>these colours</source>
        <translation>diese Farben</translation>
    </message>
    <message>
        <source>these</source>
        <translation>diese</translation>
    </message>
    <message>
        <source>Such as #c7802a #1f6f78.</source>
        <translation>Etwa #c7802a #1f6f78.</translation>
    </message>
    <message>
        <source>no part narrower</source>
        <translation>kein Teil schmaler</translation>
    </message>
    <message>
        <source>Such parts are given to what surrounds them.</source>
        <translation>Solche Teile gehen an das, was sie umgibt.</translation>
    </message>
    <message>
        <source>without background</source>
        <translation>ohne Hintergrund</translation>
    </message>
    <message>
        <source>What reaches the picture&apos;s edge and has its colour.</source>
        <translation>Was bis zum Bildrand reicht und seine Farbe hat.</translation>
    </message>
    <message>
        <source>[{piece}: ]{texts|n:text is:texts are} set in another typeface: {used} stands in for {asked}, which is not on this machine or lacks letters; compare with the drawing, or install the typeface and bring the file in again.</source>
        <translation>[{piece}: ]{texts|n:Text ist:Texte sind} in einer anderen Schrift gesetzt: {used} steht für {asked}, die auf diesem Rechner fehlt oder der Buchstaben fehlen; vergleiche mit der Zeichnung, oder installiere die Schrift und hole die Datei noch einmal herein.</translation>
    </message>
    <message>
        <source>Not filled: a spacing of {spacing|mm3} would take more than {millions|0} million strokes; make it wider.</source>
        <translation>Nicht gefüllt: ein Abstand von {spacing|mm3} bräuchte mehr als {millions|0} Millionen Striche; machen Sie ihn weiter.</translation>
    </message>
    <message>
        <source>{file}:</source>
        <translation>{file}:</translation>
    </message>
    <message>
        <source>this is a folder</source>
        <translation>das ist ein Ordner</translation>
    </message>
    <message>
        <source>the file is larger than {mb|0} MB</source>
        <translation>die Datei ist größer als {mb|0} MB</translation>
    </message>
    <message>
        <source>cannot be opened: {why}</source>
        <translation>lässt sich nicht öffnen: {why}</translation>
    </message>
    <message>
        <source>cannot be read: {why}</source>
        <translation>lässt sich nicht lesen: {why}</translation>
    </message>
    <message>
        <source>cannot be written: {why}</source>
        <translation>lässt sich nicht schreiben: {why}</translation>
    </message>
    <message>
        <source>cannot be written here: {why}</source>
        <translation>hier lässt sich nichts schreiben: {why}</translation>
    </message>
    <message>
        <source>cannot be replaced: {why}</source>
        <translation>lässt sich nicht ersetzen: {why}</translation>
    </message>
    <message>
        <source>the file is empty</source>
        <translation>die Datei ist leer</translation>
    </message>
    <message>
        <source>there is no such file</source>
        <translation>diese Datei gibt es nicht</translation>
    </message>
    <message>
        <source>the folder cannot be made</source>
        <translation>der Ordner lässt sich nicht anlegen</translation>
    </message>
    <message>
        <source>no temporary file can be made</source>
        <translation>es lässt sich keine Zwischendatei anlegen</translation>
    </message>
    <message>
        <source>no memory is left</source>
        <translation>der Speicher reicht nicht</translation>
    </message>
    <message>
        <source>{why}</source>
        <translation>{why}</translation>
    </message>
    <message>
        <source>the file is larger than {mb|0} MB; split the drawing or simplify it</source>
        <translation>die Datei ist größer als {mb|0} MB; teilen oder vereinfachen Sie die Zeichnung</translation>
    </message>
    <message>
        <source>the drawing has more than {most|0} segments; simplify it</source>
        <translation>die Zeichnung hat mehr als {most|0} Strecken; vereinfachen Sie sie</translation>
    </message>
    <message>
        <source>the drawing needs more memory than there is</source>
        <translation>die Zeichnung braucht mehr Speicher, als da ist</translation>
    </message>
    <message>
        <source>the drawing is larger than 100 m; take the part that is wanted, and check its units</source>
        <translation>die Zeichnung ist größer als 100 m; nehmen Sie den gewünschten Teil, und prüfen Sie ihre Einheiten</translation>
    </message>
    <message>
        <source>it unpacks to more than {mb|0} MB; split the drawing or simplify it</source>
        <translation>entpackt sind es mehr als {mb|0} MB; teilen oder vereinfachen Sie die Zeichnung</translation>
    </message>
    <message>
        <source>what is packed in it is damaged or cut short; save it again</source>
        <translation>was darin gepackt ist, ist beschädigt oder abgeschnitten; speichern Sie es noch einmal</translation>
    </message>
    <message>
        <source>not well-formed XML ({why}); the file may be cut short, save it again</source>
        <translation>kein wohlgeformtes XML ({why}); die Datei kann abgeschnitten sein, speichern Sie sie noch einmal</translation>
    </message>
    <message>
        <source>this is not an SVG drawing: its first element is &lt;{element}&gt;</source>
        <translation>das ist keine SVG-Zeichnung: ihr erstes Element ist &lt;{element}&gt;</translation>
    </message>
    <message>
        <source>groups are nested deeper than {levels|0}; ungroup the drawing</source>
        <translation>Gruppen sind tiefer als {levels|0} verschachtelt; lösen Sie Gruppen auf</translation>
    </message>
    <message>
        <source>the file defines XML entities that refer to others or to outside files; save it as plain SVG</source>
        <translation>die Datei legt XML-Entitäten fest, die auf andere oder auf fremde Dateien verweisen; speichern Sie sie als schlichtes SVG</translation>
    </message>
    <message>
        <source>elements are nested or reused deeper than {levels|0}</source>
        <translation>Elemente sind tiefer als {levels|0} verschachtelt oder wiederverwendet</translation>
    </message>
    <message>
        <source>reused elements add up to more than {most|0}; expand fewer copies</source>
        <translation>wiederverwendete Elemente ergeben mehr als {most|0}; nehmen Sie weniger Kopien</translation>
    </message>
    <message>
        <source>transform is missing a bracket</source>
        <translation>in „transform“ fehlt eine Klammer</translation>
    </message>
    <message>
        <source>transform &quot;{text}&quot; cannot be read</source>
        <translation>„transform“ {text} lässt sich nicht lesen</translation>
    </message>
    <message>
        <source>transform is not finite</source>
        <translation>„transform“ ist nicht endlich</translation>
    </message>
    <message>
        <source>path data: a path must begin with a move (M) at character {character|0}</source>
        <translation>Pfaddaten: ein Pfad muss mit einer Bewegung (M) beginnen, Zeichen {character|0}</translation>
    </message>
    <message>
        <source>path data: a command letter is expected at character {character|0}</source>
        <translation>Pfaddaten: ein Befehlsbuchstabe wird erwartet, Zeichen {character|0}</translation>
    </message>
    <message>
        <source>path data: &apos;{letter}&apos; is not a path command at character {character|0}</source>
        <translation>Pfaddaten: „{letter}“ ist kein Pfadbefehl, Zeichen {character|0}</translation>
    </message>
    <message>
        <source>path data: a finite number is missing after &apos;{letter}&apos; at character {character|0}</source>
        <translation>Pfaddaten: nach „{letter}“ fehlt eine endliche Zahl, Zeichen {character|0}</translation>
    </message>
    <message>
        <source>reading such a file takes the program {program}; install the package {package}</source>
        <translation>um eine solche Datei zu lesen, braucht es das Programm {program}; installieren Sie das Paket {package}</translation>
    </message>
    <message>
        <source>it takes longer than a minute to be read; simplify it, or save it as SVG</source>
        <translation>das Lesen dauert länger als eine Minute; vereinfachen Sie sie, oder speichern Sie sie als SVG</translation>
    </message>
    <message>
        <source>it is damaged, or locked by a password; save it again without one</source>
        <translation>sie ist beschädigt oder durch ein Kennwort gesperrt; speichern Sie sie ohne eines noch einmal</translation>
    </message>
    <message>
        <source>it is damaged; save it again, or as SVG</source>
        <translation>sie ist beschädigt; speichern Sie sie noch einmal, oder als SVG</translation>
    </message>
    <message>
        <source>its page {page|0} is damaged; save it again, or as SVG</source>
        <translation>ihre Seite {page|0} ist beschädigt; speichern Sie sie noch einmal, oder als SVG</translation>
    </message>
    <message>
        <source>there is no page {page|0}; it has {pages|0}</source>
        <translation>eine Seite {page|0} gibt es nicht; es sind {pages|0}</translation>
    </message>
    <message>
        <source>this is binary DXF; save it as text (ASCII) DXF</source>
        <translation>das ist binäres DXF; speichern Sie es als Text (ASCII)</translation>
    </message>
    <message>
        <source>this is no DXF drawing</source>
        <translation>das ist keine DXF-Zeichnung</translation>
    </message>
    <message>
        <source>this is no DXF drawing: it has no section</source>
        <translation>das ist keine DXF-Zeichnung: sie hat keinen Abschnitt</translation>
    </message>
    <message>
        <source>a group code is no number; the file is damaged</source>
        <translation>ein Gruppencode ist keine Zahl; die Datei ist beschädigt</translation>
    </message>
    <message>
        <source>the file ends in the middle of a group; it was cut short, save it again</source>
        <translation>die Datei endet mitten in einer Gruppe; sie ist abgeschnitten, speichern Sie sie noch einmal</translation>
    </message>
    <message>
        <source>the block &quot;{block}&quot; contains itself: it would never end</source>
        <translation>der Block „{block}“ enthält sich selbst: er hätte kein Ende</translation>
    </message>
    <message>
        <source>blocks add up to more than {most|0} elements; take fewer copies, or only what is wanted</source>
        <translation>Blöcke ergeben mehr als {most|0} Elemente; nehmen Sie weniger Kopien, oder nur das Gewünschte</translation>
    </message>
    <message>
        <source>it draws too many lines; split the drawing</source>
        <translation>sie zeichnet zu viele Linien; teilen Sie die Zeichnung</translation>
    </message>
    <message>
        <source>the drawing is larger than 100 m; check how it is scaled (SC, IP)</source>
        <translation>die Zeichnung ist größer als 100 m; prüfen Sie ihren Maßstab (SC, IP)</translation>
    </message>
    <message>
        <source>this is not a picture; use PNG or JPEG</source>
        <translation>das ist kein Bild; nehmen Sie PNG oder JPEG</translation>
    </message>
    <message>
        <source>the picture is {width|0} x {height|0} px; make it smaller than {most|0} px a side</source>
        <translation>das Bild hat {width|0} x {height|0} Pixel; machen Sie es kleiner als {most|0} Pixel je Seite</translation>
    </message>
    <message>
        <source>the picture is damaged ({why}); save it anew</source>
        <translation>das Bild ist beschädigt ({why}); speichern Sie es noch einmal</translation>
    </message>
    <message>
        <source>an object is expected</source>
        <translation>ein Objekt wird erwartet</translation>
    </message>
    <message>
        <source>a list is expected</source>
        <translation>eine Liste wird erwartet</translation>
    </message>
    <message>
        <source>text is expected</source>
        <translation>Text wird erwartet</translation>
    </message>
    <message>
        <source>text of up to {bytes|0} bytes is expected</source>
        <translation>Text von höchstens {bytes|0} Bytes wird erwartet</translation>
    </message>
    <message>
        <source>true or false is expected</source>
        <translation>true oder false wird erwartet</translation>
    </message>
    <message>
        <source>a colour such as &quot;#1f6f78&quot; is expected</source>
        <translation>eine Farbe wie &quot;#1f6f78&quot; wird erwartet</translation>
    </message>
    <message>
        <source>a value is expected</source>
        <translation>ein Wert wird erwartet</translation>
    </message>
    <message>
        <source>a number from {low|3} to {high|3} is expected</source>
        <translation>eine Zahl von {low|3} bis {high|3} wird erwartet</translation>
    </message>
    <message>
        <source>a whole number from {low|0} to {high|0} is expected</source>
        <translation>eine ganze Zahl von {low|0} bis {high|0} wird erwartet</translation>
    </message>
    <message>
        <source>a whole number is expected</source>
        <translation>eine ganze Zahl wird erwartet</translation>
    </message>
    <message>
        <source>{count|0} numbers are expected</source>
        <translation>{count|0} Zahlen werden erwartet</translation>
    </message>
    <message>
        <source>a list of numbers is expected</source>
        <translation>eine Liste von Zahlen wird erwartet</translation>
    </message>
    <message>
        <source>numbers within {most|0} are expected</source>
        <translation>Zahlen bis {most|0} werden erwartet</translation>
    </message>
    <message>
        <source>a number or a text is expected</source>
        <translation>eine Zahl oder ein Text wird erwartet</translation>
    </message>
    <message>
        <source>a list of x y pairs is expected</source>
        <translation>eine Liste von Paaren x y wird erwartet</translation>
    </message>
    <message>
        <source>rows of six numbers are expected</source>
        <translation>Reihen von sechs Zahlen werden erwartet</translation>
    </message>
    <message>
        <source>one of these is expected: {words}</source>
        <translation>eines von diesen wird erwartet: {words}</translation>
    </message>
    <message>
        <source>the id of a piece is expected</source>
        <translation>die Nummer eines Stücks wird erwartet</translation>
    </message>
    <message>
        <source>a list of piece ids is expected</source>
        <translation>eine Liste von Nummern von Stücken wird erwartet</translation>
    </message>
    <message>
        <source>a line id is expected</source>
        <translation>der Name einer Linie wird erwartet</translation>
    </message>
    <message>
        <source>the key of a pass is expected</source>
        <translation>der Schlüssel eines Durchgangs wird erwartet</translation>
    </message>
    <message>
        <source>a role is expected (cut, score, draw, foil, engrave, emboss, print or guide)</source>
        <translation>eine Rolle wird erwartet (cut, score, draw, foil, engrave, emboss, print oder guide)</translation>
    </message>
    <message>
        <source>lower-case letters, digits and dashes are expected</source>
        <translation>Kleinbuchstaben, Ziffern und Bindestriche werden erwartet</translation>
    </message>
    <message>
        <source>a list of kinds of tool is expected</source>
        <translation>eine Liste von Arten von Werkzeug wird erwartet</translation>
    </message>
    <message>
        <source>a kind of tool is expected</source>
        <translation>eine Art von Werkzeug wird erwartet</translation>
    </message>
    <message>
        <source>a place in mm is expected</source>
        <translation>ein Ort in mm wird erwartet</translation>
    </message>
    <message>
        <source>a list of rings is expected</source>
        <translation>eine Liste von Ringen wird erwartet</translation>
    </message>
    <message>
        <source>the corners of a ring are expected: x and y of at least three, within 100 m</source>
        <translation>die Ecken eines Rings werden erwartet: x und y von mindestens dreien, innerhalb von 100 m</translation>
    </message>
    <message>
        <source>a width and a height above zero are expected, up to 100 m</source>
        <translation>eine Breite und eine Höhe über null werden erwartet, bis 100 m</translation>
    </message>
    <message>
        <source>the number of a copy is expected</source>
        <translation>die Nummer einer Kopie wird erwartet</translation>
    </message>
    <message>
        <source>base64 text is expected</source>
        <translation>Text in base64 wird erwartet</translation>
    </message>
    <message>
        <source>&quot;first&quot; and &quot;second&quot; are expected</source>
        <translation>&quot;first&quot; und &quot;second&quot; werden erwartet</translation>
    </message>
    <message>
        <source>one or two places are expected</source>
        <translation>ein oder zwei Orte werden erwartet</translation>
    </message>
    <message>
        <source>a row needs two places</source>
        <translation>eine Reihe braucht zwei Orte</translation>
    </message>
    <message>
        <source>it holds {entries|0} entries; up to {most|0} are read</source>
        <translation>sie hat {entries|0} Einträge; höchstens {most|0} werden gelesen</translation>
    </message>
    <message>
        <source>an outline has at most {most|0} corners</source>
        <translation>ein Umriss hat höchstens {most|0} Ecken</translation>
    </message>
    <message>
        <source>this copy has a place already</source>
        <translation>diese Kopie hat schon einen Platz</translation>
    </message>
    <message>
        <source>the piece is held on this axis already</source>
        <translation>das Stück ist auf dieser Achse schon gehalten</translation>
    </message>
    <message>
        <source>this id is already taken</source>
        <translation>diese Nummer ist schon vergeben</translation>
    </message>
    <message>
        <source>the pixels do not fill the picture&apos;s {places|0} places</source>
        <translation>die Pixel füllen nicht die {places|0} Plätze des Bildes</translation>
    </message>
    <message>
        <source>the matrix flattens the piece</source>
        <translation>die Matrix drückt das Stück flach</translation>
    </message>
    <message>
        <source>the matrix makes the piece more than 10,000 times as large</source>
        <translation>die Matrix macht das Stück mehr als 10.000-mal so groß</translation>
    </message>
    <message>
        <source>it lies more than {most|0} m from the origin</source>
        <translation>es liegt mehr als {most|0} m vom Ursprung</translation>
    </message>
    <message>
        <source>this version does not know the ready shape &quot;{shape}&quot;</source>
        <translation>diese Fassung kennt die fertige Form „{shape}“ nicht</translation>
    </message>
    <message>
        <source>this is not a Dot Lane project</source>
        <translation>das ist kein Projekt von Dot Lane</translation>
    </message>
    <message>
        <source>this project is of version {version|0}; this Dot Lane reads up to {known|0}: open it with a newer one</source>
        <translation>dieses Projekt hat die Version {version|0}; dieses Dot Lane liest bis {known|0}: öffnen Sie es mit einem neueren</translation>
    </message>
    <message>
        <source>values are nested too deeply for a project</source>
        <translation>Werte sind für ein Projekt zu tief verschachtelt</translation>
    </message>
    <message>
        <source>this is not a complete project; it may be cut short, try its autosave</source>
        <translation>das ist kein vollständiges Projekt; es kann abgeschnitten sein, versuchen Sie die selbsttätige Sicherung</translation>
    </message>
    <message>
        <source>piece {piece|0} is on the stock &quot;{stock}&quot;, which the project does not have</source>
        <translation>Stück {piece|0} ist auf dem Material „{stock}“, das im Projekt fehlt</translation>
    </message>
    <message>
        <source>line &quot;{line}&quot; wants the tool &quot;{tool}&quot;, which is not in the rack</source>
        <translation>Linie „{line}“ will das Werkzeug „{tool}“, das nicht im Ständer ist</translation>
    </message>
    <message>
        <source>there is no piece to hold</source>
        <translation>es ist kein Stück da, das gehalten werden kann</translation>
    </message>
    <message>
        <source>what &quot;{piece}&quot; should be held to is not there</source>
        <translation>woran „{piece}“ gehalten werden soll, ist nicht da</translation>
    </message>
    <message>
        <source>&quot;{piece}&quot; cannot be held to itself</source>
        <translation>„{piece}“ kann nicht an sich selbst gehalten werden</translation>
    </message>
    <message>
        <source>&quot;{piece}&quot; cannot be held to &quot;{to}&quot;: that follows &quot;{piece}&quot; itself[, by way of {by}]</source>
        <translation>„{piece}“ kann nicht an „{to}“ gehalten werden: das folgt selbst „{piece}“[, über {by}]</translation>
    </message>
    <message>
        <source>select the piece and the one that it is to fit inside</source>
        <translation>wählen Sie das Stück und das, in das es passen soll</translation>
    </message>
    <message>
        <source>&quot;{piece}&quot; cannot be fitted inside &quot;{around}&quot;: that follows &quot;{piece}&quot; itself</source>
        <translation>„{piece}“ kann nicht in „{around}“ eingepasst werden: das folgt selbst „{piece}“</translation>
    </message>
    <message>
        <source>the outline of &quot;{around}&quot; is too detailed to fit things inside; simplify it</source>
        <translation>der Umriss von „{around}“ ist zu fein, um etwas einzupassen; vereinfachen Sie ihn</translation>
    </message>
    <message>
        <source>inside &quot;{around}&quot; there is no room left by the margin</source>
        <translation>in „{around}“ lässt der Rand keinen Platz</translation>
    </message>
    <message>
        <source>a row needs three pieces or more</source>
        <translation>eine Reihe braucht mindestens drei Stücke</translation>
    </message>
    <message>
        <source>&quot;{kind}&quot; takes no &quot;{key}&quot;</source>
        <translation>„{kind}“ nimmt kein „{key}“</translation>
    </message>
    <message>
        <source>there is no ready shape &quot;{shape}&quot;</source>
        <translation>es gibt keine fertige Form „{shape}“</translation>
    </message>
    <message>
        <source>there is no step &quot;{step}&quot;</source>
        <translation>es gibt keinen Schritt „{step}“</translation>
    </message>
    <message>
        <source>{piece} cannot be shaped by itself; choose another piece.</source>
        <translation>{piece} kann nicht durch sich selbst geformt werden; wählen Sie ein anderes Stück.</translation>
    </message>
    <message>
        <source>{piece} already shapes {others}, so it cannot be shaped by {count?it:them} in turn; freeze one of them first.</source>
        <translation>{piece} formt schon {others} und kann darum nicht selbst davon geformt werden; frieren Sie erst eines davon ein.</translation>
    </message>
    <message>
        <source>strokes have no area to join; choose an outline typeface</source>
        <translation>Striche haben keine Fläche zum Verbinden; wählen Sie eine Umrissschrift</translation>
    </message>
    <message>
        <source>no shift along the line joins {pairs} without closing a counter; nudge them by hand, or choose other letterforms</source>
        <translation>kein Verschieben auf der Zeile verbindet {pairs}, ohne einen Innenraum zu schließen; rücken Sie sie von Hand, oder wählen Sie andere Buchstabenformen</translation>
    </message>
    <message>
        <source>there is no such font file</source>
        <translation>diese Schriftdatei gibt es nicht</translation>
    </message>
    <message>
        <source>the font cannot be read</source>
        <translation>die Schrift lässt sich nicht lesen</translation>
    </message>
    <message>
        <source>it is not a whole TrueType or OpenType font, or holds no face {face|0}</source>
        <translation>es ist keine vollständige TrueType- oder OpenType-Schrift, oder sie enthält keinen Schnitt {face|0}</translation>
    </message>
    <message>
        <source>its letters are not outlines; a TrueType or OpenType font is needed</source>
        <translation>ihre Buchstaben sind keine Umrisse; es braucht eine TrueType- oder OpenType-Schrift</translation>
    </message>
    <message>
        <source>its tables do not fit together</source>
        <translation>ihre Tabellen passen nicht zusammen</translation>
    </message>
    <message>
        <source>its letters cannot be scaled</source>
        <translation>ihre Buchstaben lassen sich nicht skalieren</translation>
    </message>
    <message>
        <source>a record is cut short; it is not whole Hershey data, install it anew</source>
        <translation>ein Satz ist abgeschnitten; das sind keine vollständigen Hershey-Daten, installieren Sie sie neu</translation>
    </message>
    <message>
        <source>a record does not say how many points it has; it is not whole Hershey data, install it anew</source>
        <translation>ein Satz sagt nicht, wie viele Punkte er hat; das sind keine vollständigen Hershey-Daten, installieren Sie sie neu</translation>
    </message>
    <message>
        <source>a coordinate is no letter; it is not whole Hershey data, install it anew</source>
        <translation>eine Koordinate ist kein Buchstabe; das sind keine vollständigen Hershey-Daten, installieren Sie sie neu</translation>
    </message>
    <message>
        <source>there are more forms than a face can have; it is not whole Hershey data, install it anew</source>
        <translation>es sind mehr Formen, als eine Schrift haben kann; das sind keine vollständigen Hershey-Daten, installieren Sie sie neu</translation>
    </message>
    <message>
        <source>there is no letterform in it</source>
        <translation>es ist keine Buchstabenform darin</translation>
    </message>
    <message>
        <source>there is no typeface &quot;{typeface}&quot; on this machine; choose another, install it, or name its font file</source>
        <translation>die Schrift „{typeface}“ gibt es auf diesem Rechner nicht; wählen Sie eine andere, installieren Sie sie, oder nennen Sie ihre Datei</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is no length up to {most|0} mm; write the corners as x,y in mm: 0,0 120,0 120,80 40,110</source>
        <translation>„{word}“ ist keine Länge bis {most|0} mm; schreiben Sie die Ecken als x,y in mm: 0,0 120,0 120,80 40,110</translation>
    </message>
    <message>
        <source>each outline takes three corners or more; write the corners as x,y in mm: 0,0 120,0 120,80 40,110</source>
        <translation>jeder Umriss braucht mindestens drei Ecken; schreiben Sie die Ecken als x,y in mm: 0,0 120,0 120,80 40,110</translation>
    </message>
    <message>
        <source>it takes three corners or more, each with an x and a y; write the corners as x,y in mm: 0,0 120,0 120,80 40,110</source>
        <translation>es braucht mindestens drei Ecken, jede mit x und y; schreiben Sie die Ecken als x,y in mm: 0,0 120,0 120,80 40,110</translation>
    </message>
    <message>
        <source>these corners enclose nothing; write the corners as x,y in mm: 0,0 120,0 120,80 40,110</source>
        <translation>diese Ecken umschließen nichts; schreiben Sie die Ecken als x,y in mm: 0,0 120,0 120,80 40,110</translation>
    </message>
    <message>
        <source>the rack has no tool for that sheet</source>
        <translation>im Ständer ist kein Werkzeug für dieses Blatt</translation>
    </message>
    <message>
        <source>&quot;{tool}&quot; is no tool for that sheet</source>
        <translation>„{tool}“ ist kein Werkzeug für dieses Blatt</translation>
    </message>
    <message>
        <source>the rack has no second tool whose tip could be looked at</source>
        <translation>im Ständer ist kein zweites Werkzeug, dessen Spitze sich ansehen ließe</translation>
    </message>
    <message>
        <source>no stock takes that tool</source>
        <translation>kein Material nimmt dieses Werkzeug</translation>
    </message>
    <message>
        <source>there is nothing called &quot;{reading}&quot; on it</source>
        <translation>darauf gibt es nichts namens „{reading}“</translation>
    </message>
    <message>
        <source>&quot;{reading}&quot; is from {low|2} to {high|2}, not {value|3}</source>
        <translation>„{reading}“ geht von {low|2} bis {high|2}, nicht {value|3}</translation>
    </message>
    <message>
        <source>the mat is too small for that sheet[, which takes {width|0} x {height|0} mm]</source>
        <translation>die Matte ist zu klein für dieses Blatt[, das {width|0} x {height|0} mm braucht]</translation>
    </message>
    <message>
        <source>the blade takes none of the forces about that of the stock</source>
        <translation>die Klinge nimmt keine der Kräfte um die des Materials</translation>
    </message>
    <message>
        <source>there is no tool &quot;{tool}&quot; in the rack</source>
        <translation>im Ständer ist kein Werkzeug „{tool}“</translation>
    </message>
    <message>
        <source>there is no stock &quot;{stock}&quot;</source>
        <translation>es gibt kein Material „{stock}“</translation>
    </message>
    <message>
        <source>a project that was kept is damaged</source>
        <translation>ein aufbewahrtes Projekt ist beschädigt</translation>
    </message>
    <message>
        <source>the logbook was written by a newer version of Dot Lane ({version|0}); this one reads up to {known|0}</source>
        <translation>das Logbuch wurde von einem neueren Dot Lane geschrieben ({version|0}); dieses liest bis {known|0}</translation>
    </message>
    <message>
        <source>the logbook is damaged: {why}</source>
        <translation>das Logbuch ist beschädigt: {why}</translation>
    </message>
    <message>
        <source>the logbook has no run {run|0}</source>
        <translation>das Logbuch hat keinen Lauf {run|0}</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is no outcome</source>
        <translation>„{word}“ ist kein Ausgang</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is no role</source>
        <translation>„{word}“ ist keine Rolle</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is no way to come out</source>
        <translation>„{word}“ ist kein Ergebnis</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is no way to weed</source>
        <translation>„{word}“ ist keine Art zu entgittern</translation>
    </message>
    <message>
        <source>a run has the name of its job</source>
        <translation>ein Lauf hat den Namen seines Auftrags</translation>
    </message>
    <message>
        <source>a quoted text never ends</source>
        <translation>ein Text in Anführungszeichen hat kein Ende</translation>
    </message>
    <message>
        <source>it has more cells than there are columns</source>
        <translation>sie hat mehr Zellen, als es Spalten gibt</translation>
    </message>
    <message>
        <source>it follows no run of its own</source>
        <translation>sie folgt keinem eigenen Lauf</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is no kind of row</source>
        <translation>„{word}“ ist keine Art von Zeile</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is a text</source>
        <translation>„{word}“ ist ein Text</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is a number</source>
        <translation>„{word}“ ist eine Zahl</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is a whole number</source>
        <translation>„{word}“ ist eine ganze Zahl</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is true or false</source>
        <translation>„{word}“ ist true oder false</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is a list</source>
        <translation>„{word}“ ist eine Liste</translation>
    </message>
    <message>
        <source>the journal is damaged[: {why}]</source>
        <translation>das Journal ist beschädigt[: {why}]</translation>
    </message>
    <message>
        <source>this is no journal of a run</source>
        <translation>das ist kein Journal eines Laufs</translation>
    </message>
    <message>
        <source>the journal is empty</source>
        <translation>das Journal ist leer</translation>
    </message>
    <message>
        <source>the run is under way in another window</source>
        <translation>der Lauf ist in einem anderen Fenster im Gange</translation>
    </message>
    <message>
        <source>the index of projects is of another version</source>
        <translation>das Verzeichnis der Projekte hat eine andere Version</translation>
    </message>
    <message>
        <source>the job that is made of this project today is another one than was begun, perhaps by another version of the program: what is left cannot be found in it. Run it anew on fresh stock</source>
        <translation>der Auftrag, der heute aus diesem Projekt entsteht, ist ein anderer als der begonnene, vielleicht durch eine andere Fassung des Programms: was noch fehlt, ist darin nicht zu finden. Fahren Sie ihn neu auf frischem Material</translation>
    </message>
    <message>
        <source>a profile is an object in JSON</source>
        <translation>ein Profil ist ein Objekt in JSON</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is out of range</source>
        <translation>„{word}“ liegt außerhalb des Bereichs</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is &quot;z&quot; or &quot;servo&quot;</source>
        <translation>„{word}“ ist &quot;z&quot; oder &quot;servo&quot;</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is no field of a profile</source>
        <translation>„{word}“ ist kein Feld eines Profils</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is the same as &quot;down&quot;: the tool would never be lifted</source>
        <translation>„{word}“ ist gleich &quot;down&quot;: das Werkzeug würde nie gehoben</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is below 0</source>
        <translation>„{word}“ ist kleiner als 0</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is not above 0</source>
        <translation>„{word}“ ist nicht größer als 0</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is not between 0 and 1</source>
        <translation>„{word}“ liegt nicht zwischen 0 und 1</translation>
    </message>
    <message>
        <source>a line never ends</source>
        <translation>eine Zeile hat kein Ende</translation>
    </message>
    <message>
        <source>an instruction never ends</source>
        <translation>eine Anweisung hat kein Ende</translation>
    </message>
    <message>
        <source>the stream ends in the middle of an instruction</source>
        <translation>der Strom endet mitten in einer Anweisung</translation>
    </message>
    <message>
        <source>a remark never ends (line {line|0}: &quot;{text}&quot;)</source>
        <translation>eine Bemerkung hat kein Ende (Zeile {line|0}: „{text}“)</translation>
    </message>
    <message>
        <source>a letter is expected (line {line|0}: &quot;{text}&quot;)</source>
        <translation>ein Buchstabe wird erwartet (Zeile {line|0}: „{text}“)</translation>
    </message>
    <message>
        <source>a number is expected after {letter} (line {line|0}: &quot;{text}&quot;)</source>
        <translation>nach {letter} wird eine Zahl erwartet (Zeile {line|0}: „{text}“)</translation>
    </message>
    <message>
        <source>a place is out of range (line {line|0}: &quot;{text}&quot;)</source>
        <translation>ein Ort liegt außerhalb des Bereichs (Zeile {line|0}: „{text}“)</translation>
    </message>
    <message>
        <source>an arc needs its middle, I and J (line {line|0}: &quot;{text}&quot;)</source>
        <translation>ein Bogen braucht seine Mitte, I und J (Zeile {line|0}: „{text}“)</translation>
    </message>
    <message>
        <source>an arc does not end as far from its middle as it begins (line {line|0}: &quot;{text}&quot;)</source>
        <translation>ein Bogen endet nicht so weit von seiner Mitte, wie er beginnt (Zeile {line|0}: „{text}“)</translation>
    </message>
    <message>
        <source>an instruction of two letters is expected (instruction {instruction|0}: &quot;{text}&quot;)</source>
        <translation>eine Anweisung aus zwei Buchstaben wird erwartet (Anweisung {instruction|0}: „{text}“)</translation>
    </message>
    <message>
        <source>a number is expected (instruction {instruction|0}: &quot;{text}&quot;)</source>
        <translation>eine Zahl wird erwartet (Anweisung {instruction|0}: „{text}“)</translation>
    </message>
    <message>
        <source>&quot;{text}&quot;: a fault is one of {words}</source>
        <translation>„{text}“: eine Störung ist eine von {words}</translation>
    </message>
    <message>
        <source>&quot;{text}&quot;: after the @ come seconds, or a share of the run as 0% to 100%</source>
        <translation>„{text}“: nach dem @ stehen Sekunden, oder ein Anteil des Laufs als 0% bis 100%</translation>
    </message>
    <message>
        <source>the cutter does not know {word}</source>
        <translation>der Schneider kennt {word} nicht</translation>
    </message>
    <message>
        <source>the cutter is busy with another job</source>
        <translation>der Schneider ist mit einem anderen Auftrag beschäftigt</translation>
    </message>
    <message>
        <source>the cutter did not understand a message: {why}</source>
        <translation>der Schneider hat eine Nachricht nicht verstanden: {why}</translation>
    </message>
    <message>
        <source>the cutter is not waiting for tools</source>
        <translation>der Schneider wartet nicht auf Werkzeuge</translation>
    </message>
    <message>
        <source>the job wants {wanted}; the holders have {there}</source>
        <translation>der Auftrag will {wanted}; in den Haltern ist {there}</translation>
    </message>
    <message>
        <source>holder {holder|0} is empty and the job wants to mark with it</source>
        <translation>Halter {holder|0} ist leer, und der Auftrag will damit arbeiten</translation>
    </message>
    <message>
        <source>the printed sheet lies so far from its place that the cut would leave the mat</source>
        <translation>das gedruckte Blatt liegt so weit von seinem Platz, dass der Schnitt die Matte verließe</translation>
    </message>
    <message>
        <source>there are no marks of sheet {sheet|0} on the mat: it has to be printed first</source>
        <translation>von Blatt {sheet|0} sind keine Marken auf der Matte: es muss zuerst gedruckt werden</translation>
    </message>
    <message>
        <source>sheet {sheet|0}: the mark at the top left was not found</source>
        <translation>Blatt {sheet|0}: die Marke oben links wurde nicht gefunden</translation>
    </message>
    <message>
        <source>sheet {sheet|0}: the mark at the top right was not found</source>
        <translation>Blatt {sheet|0}: die Marke oben rechts wurde nicht gefunden</translation>
    </message>
    <message>
        <source>sheet {sheet|0}: the mark at the bottom right was not found</source>
        <translation>Blatt {sheet|0}: die Marke unten rechts wurde nicht gefunden</translation>
    </message>
    <message>
        <source>sheet {sheet|0}: the mark at the bottom left was not found</source>
        <translation>Blatt {sheet|0}: die Marke unten links wurde nicht gefunden</translation>
    </message>
    <message>
        <source>sheet {sheet|0}: the marks do not lie to each other as they were printed</source>
        <translation>Blatt {sheet|0}: die Marken liegen nicht so zueinander, wie sie gedruckt wurden</translation>
    </message>
    <message>
        <source>sheet {sheet|0}: the corner with the small dot is not at the top left: the sheet lies the wrong way round</source>
        <translation>Blatt {sheet|0}: die Ecke mit dem kleinen Punkt ist nicht oben links: das Blatt liegt verkehrt herum</translation>
    </message>
    <message>
        <source>the head is blocked; switch off, free it, and leave the mat where it is</source>
        <translation>der Kopf ist blockiert; schalten Sie aus, machen Sie ihn frei, und lassen Sie die Matte, wo sie ist</translation>
    </message>
    <message>
        <source>the pages cannot be made</source>
        <translation>die Seiten lassen sich nicht herstellen</translation>
    </message>
    <message>
        <source>there is no sheet to put on a page</source>
        <translation>es gibt kein Blatt, das auf eine Seite kann</translation>
    </message>
    <message>
        <source>no sheet is printed first</source>
        <translation>kein Blatt wird zuerst gedruckt</translation>
    </message>
    <message>
        <source>there is nothing to run</source>
        <translation>es gibt nichts zu fahren</translation>
    </message>
    <message>
        <source>the picture is too large to be made; use fewer pixels</source>
        <translation>das Bild ist zu groß; nehmen Sie weniger Pixel</translation>
    </message>
    <message>
        <source>choose one of the endings {endings}</source>
        <translation>nehmen Sie eine der Endungen {endings}</translation>
    </message>
    <message>
        <source>a command is missing; try dot-lane-cli help</source>
        <translation>ein Befehl fehlt; dot-lane-cli help sagt, welche es gibt</translation>
    </message>
    <message>
        <source>there is no command &quot;{word}&quot;; try dot-lane-cli help</source>
        <translation>einen Befehl „{word}“ gibt es nicht; dot-lane-cli help sagt, welche es gibt</translation>
    </message>
    <message>
        <source>{command} takes {words}[, not &quot;{word}&quot;]; try dot-lane-cli help {command}</source>
        <translation>nach {command} kommt eines von {words}[, nicht „{word}“]; siehe dot-lane-cli help {command}</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; is not understood here; try dot-lane-cli help</source>
        <translation>„{word}“ wird hier nicht verstanden; siehe dot-lane-cli help</translation>
    </message>
    <message>
        <source>{option} needs a value after it</source>
        <translation>nach {option} fehlt ein Wert</translation>
    </message>
    <message>
        <source>{option} is missing[, for instance {example}]</source>
        <translation>{option} fehlt[, zum Beispiel {example}]</translation>
    </message>
    <message>
        <source>the project is missing; try dot-lane-cli help</source>
        <translation>das Projekt fehlt; siehe dot-lane-cli help</translation>
    </message>
    <message>
        <source>the drawing is missing; try dot-lane-cli help</source>
        <translation>die Zeichnung fehlt; siehe dot-lane-cli help</translation>
    </message>
    <message>
        <source>the file is missing; try dot-lane-cli help</source>
        <translation>die Datei fehlt; siehe dot-lane-cli help</translation>
    </message>
    <message>
        <source>the photograph is missing; try dot-lane-cli help</source>
        <translation>das Foto fehlt; siehe dot-lane-cli help</translation>
    </message>
    <message>
        <source>the picture is missing; try dot-lane-cli help</source>
        <translation>das Bild fehlt; siehe dot-lane-cli help</translation>
    </message>
    <message>
        <source>the exercise is missing; exercise list has them</source>
        <translation>die Übung fehlt; exercise list zählt sie auf</translation>
    </message>
    <message>
        <source>the step or shape is missing; see dot-lane-cli help shape</source>
        <translation>der Schritt oder die Form fehlt; siehe dot-lane-cli help shape</translation>
    </message>
    <message>
        <source>the number of the run is missing; log list has them</source>
        <translation>die Nummer des Laufs fehlt; log list zählt sie auf</translation>
    </message>
    <message>
        <source>the number of a run is expected, not &quot;{text}&quot;; log list has them</source>
        <translation>die Nummer eines Laufs wird erwartet, nicht „{text}“; log list zählt sie auf</translation>
    </message>
    <message>
        <source>{option} wants a whole number, not &quot;{text}&quot;</source>
        <translation>{option} verlangt eine ganze Zahl, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} wants a whole number from 1 to {most|0}, not &quot;{text}&quot;</source>
        <translation>{option} verlangt eine ganze Zahl von 1 bis {most|0}, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} wants a number above zero, not &quot;{text}&quot;</source>
        <translation>{option} verlangt eine Zahl über null, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} wants a number from {least} to {most}, not &quot;{text}&quot;</source>
        <translation>{option} verlangt eine Zahl von {least} bis {most}, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} wants a number, not &quot;{text}&quot;</source>
        <translation>{option} verlangt eine Zahl, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} wants numbers with commas between them, not &quot;{text}&quot;</source>
        <translation>{option} verlangt Zahlen mit Kommas dazwischen, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} wants a length such as {example}, not &quot;{text}&quot;</source>
        <translation>{option} verlangt eine Länge wie {example}, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} wants a length from {least} to {most}, not &quot;{text}&quot;</source>
        <translation>{option} verlangt eine Länge von {least} bis {most}, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} wants a width and a height such as 292x292mm or 12x12in, not &quot;{text}&quot;</source>
        <translation>{option} verlangt eine Breite und eine Höhe wie 292x292mm oder 12x12in, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} wants a place in mm such as 0,0, not &quot;{text}&quot;</source>
        <translation>{option} verlangt eine Stelle in mm wie 0,0, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} is one of {words}, not &quot;{text}&quot;</source>
        <translation>{option} ist eines von {words}, nicht „{text}“</translation>
    </message>
    <message>
        <source>{option} wants the form {form}, not &quot;{text}&quot;</source>
        <translation>{option} verlangt die Form {form}, nicht „{text}“</translation>
    </message>
    <message>
        <source>--turns wants free, none or a step of 1 to 180 degrees, not &quot;{text}&quot;</source>
        <translation>--turns verlangt free, none oder einen Schritt von 1 bis 180 Grad, nicht „{text}“</translation>
    </message>
    <message>
        <source>--feature wants an OpenType feature such as swsh or -liga, not &quot;{text}&quot;</source>
        <translation>--feature verlangt ein OpenType-Merkmal wie swsh oder -liga, nicht „{text}“</translation>
    </message>
    <message>
        <source>--arc wants a radius from 1mm to 5000mm, below zero for heads in, not &quot;{text}&quot;</source>
        <translation>--arc verlangt einen Radius von 1mm bis 5000mm, unter null mit den Köpfen nach innen, nicht „{text}“</translation>
    </message>
    <message>
        <source>--paper is from 90 to 2000 mm a side, not &quot;{text}&quot;</source>
        <translation>--paper hat 90 bis 2000 mm je Seite, nicht „{text}“</translation>
    </message>
    <message>
        <source>--corners wants four corners of numbers, each as X,Y, not &quot;{text}&quot;</source>
        <translation>--corners verlangt vier Ecken aus Zahlen, jede als X,Y, nicht „{text}“</translation>
    </message>
    <message>
        <source>these corners do not go around the mat; write them in px from the top left one clockwise</source>
        <translation>diese Ecken gehen nicht um die Matte; in px schreiben, von der oben links im Uhrzeigersinn</translation>
    </message>
    <message>
        <source>to keep the scraps give --project P.dotlane, --stock ID and -o P2.dotlane</source>
        <translation>um die Reste zu behalten, --project P.dotlane, --stock ID und -o P2.dotlane angeben</translation>
    </message>
    <message>
        <source>--cutter says what there is of physics: leave --physics out</source>
        <translation>--cutter sagt, was es an Physik gibt: --physics weglassen</translation>
    </message>
    <message>
        <source>a project knows its sheets and layers: --sheet, --over and --sliver are for drawings</source>
        <translation>ein Projekt kennt seine Bögen und Lagen: --sheet, --over und --sliver sind für Zeichnungen</translation>
    </message>
    <message>
        <source>--width leaves nothing of the sheet</source>
        <translation>--width lässt vom Bogen nichts übrig</translation>
    </message>
    <message>
        <source>&quot;{word}&quot; takes no --with</source>
        <translation>„{word}“ nimmt kein --with</translation>
    </message>
    <message>
        <source>a job sheet is written to a .pdf or a .html</source>
        <translation>ein Auftragsblatt wird in eine .pdf oder eine .html geschrieben</translation>
    </message>
    <message>
        <source>a print is written to a .pdf or a .png</source>
        <translation>ein Druck wird in eine .pdf oder eine .png geschrieben</translation>
    </message>
    <message>
        <source>a poster is written to a .pdf</source>
        <translation>ein Poster wird in eine .pdf geschrieben</translation>
    </message>
    <message>
        <source>the ending must be .svg or .dotlane</source>
        <translation>die Endung muss .svg oder .dotlane sein</translation>
    </message>
    <message>
        <source>there is no stock &quot;{stock}&quot;; see dot-lane-cli stocks</source>
        <translation>ein Material „{stock}“ gibt es nicht; siehe dot-lane-cli stocks</translation>
    </message>
    <message>
        <source>there is no tool &quot;{tool}&quot; in the rack; it has {rack}</source>
        <translation>ein Werkzeug „{tool}“ ist nicht am Werkzeugbord; es hat {rack}</translation>
    </message>
    <message>
        <source>&quot;{role}&quot; is no role that a tool carries out</source>
        <translation>„{role}“ ist keine Rolle, die ein Werkzeug ausführt</translation>
    </message>
    <message>
        <source>no line has the colour {colour}</source>
        <translation>keine Linie hat die Farbe {colour}</translation>
    </message>
    <message>
        <source>there is no pass {pass|0}; the plan has {passes|0}</source>
        <translation>einen Durchgang {pass|0} gibt es nicht; der Plan hat {passes|0}</translation>
    </message>
    <message>
        <source>there is no sheet {sheet|0}[; there are {sheets|0}]</source>
        <translation>einen Bogen {sheet|0} gibt es nicht[; es sind {sheets|0}]</translation>
    </message>
    <message>
        <source>sheet {sheet|0} is not printed first</source>
        <translation>Bogen {sheet|0} wird nicht zuerst bedruckt</translation>
    </message>
    <message>
        <source>{option} wants the id of a piece, not &quot;{text}&quot;</source>
        <translation>{option} verlangt die Kennung eines Stücks, nicht „{text}“</translation>
    </message>
    <message>
        <source>--pieces wants ids of pieces with commas between them, not &quot;{text}&quot;</source>
        <translation>--pieces verlangt Kennungen von Stücken mit Kommas dazwischen, nicht „{text}“</translation>
    </message>
    <message>
        <source>has no piece &quot;{piece}&quot;; dot-lane-cli inspect lists the pieces of a project</source>
        <translation>hat kein Stück „{piece}“; dot-lane-cli inspect zählt die Stücke eines Projekts auf</translation>
    </message>
    <message>
        <source>the piece has no line &quot;{line}&quot;</source>
        <translation>das Stück hat keine Linie „{line}“</translation>
    </message>
    <message>
        <source>is no folder that can be looked through; name another after --in</source>
        <translation>ist kein Ordner, der sich durchsehen lässt; nach --in einen anderen nennen</translation>
    </message>
    <message>
        <source>there is no calibration sheet &quot;{sheet}&quot;; there are {known}</source>
        <translation>einen Kalibrierbogen „{sheet}“ gibt es nicht; es gibt {known}</translation>
    </message>
    <message>
        <source>there is nothing called &quot;{key}&quot; to read off that sheet; there is {known}</source>
        <translation>„{key}“ ist von diesem Bogen nicht abzulesen; es gibt {known}</translation>
    </message>
    <message>
        <source>there is no exercise &quot;{exercise}&quot;; try exercise list</source>
        <translation>eine Übung „{exercise}“ gibt es nicht; siehe exercise list</translation>
    </message>
    <message>
        <source>there is no step or shape &quot;{word}&quot;; see dot-lane-cli help shape</source>
        <translation>einen Schritt oder eine Form „{word}“ gibt es nicht; siehe dot-lane-cli help shape</translation>
    </message>
    <message>
        <source>that run has no such pass</source>
        <translation>dieser Lauf hat keinen solchen Durchgang</translation>
    </message>
    <message>
        <source>that run is done: there is nothing left to make</source>
        <translation>dieser Lauf ist fertig: Es ist nichts mehr zu tun</translation>
    </message>
    <message>
        <source>the mat of that run was taken out: what is left would not be in register</source>
        <translation>die Matte dieses Laufs wurde herausgenommen: Was noch fehlt, säße nicht an seiner Stelle</translation>
    </message>
    <message>
        <source>the journal is of another project, or of another state of it</source>
        <translation>das Journal gehört zu einem anderen Projekt oder zu einem anderen Stand davon</translation>
    </message>
    <message>
        <source>the journal cannot be written, so nothing more was sent: {why}</source>
        <translation>das Journal lässt sich nicht schreiben, daher wurde nichts weiter gesendet: {why}</translation>
    </message>
    <message>
        <source>there is no part whose size could be asked for</source>
        <translation>es gibt kein Teil, nach dessen Größe sich fragen ließe</translation>
    </message>
    <message>
        <source>there is no part that is cut out, and so nothing to put together</source>
        <translation>kein Teil wird ausgeschnitten, daher ist nichts zusammenzusetzen</translation>
    </message>
    <message>
        <source>there is no closed outline to pack</source>
        <translation>es gibt keinen geschlossenen Umriss zu packen</translation>
    </message>
    <message>
        <source>there is no closed outline to split</source>
        <translation>es gibt keinen geschlossenen Umriss zu teilen</translation>
    </message>
    <message>
        <source>there is nothing to shape in it</source>
        <translation>es ist nichts darin zu formen</translation>
    </message>
    <message>
        <source>there is no piece to make a stencil of</source>
        <translation>es gibt kein Stück, aus dem eine Schablone werden könnte</translation>
    </message>
    <message>
        <source>P is a .dotlane project; where it is a drawing (SVG, DXF, PDF, PostScript, HPGL), it is taken as import would take it.</source>
        <translation>P ist ein .dotlane-Projekt; ist es eine Zeichnung (SVG, DXF, PDF, PostScript, HPGL), wird sie genommen, wie import sie nähme.</translation>
    </message>
    <message>
        <source>Exit codes: 0 done; 1 findings of severity error, outlines without room (pack) or an exercise that is not solved; 2 bad use or unreadable input.</source>
        <translation>Rückgabewerte: 0 getan; 1 Befunde der Schwere Fehler, Umrisse ohne Platz (pack) oder eine ungelöste Übung; 2 falscher Gebrauch oder unlesbare Eingabe.</translation>
    </message>
    <message>
        <source>Steps (&quot;trim&quot; means trim-under, layer by layer):</source>
        <translation>Schritte („trim“ heißt trim-under, Lage für Lage):</translation>
    </message>
    <message>
        <source>Shapes (&quot;card&quot; means folding-card, &quot;trace IN.png&quot; means picture, &quot;text&quot; means lettering):</source>
        <translation>Formen („card“ heißt folding-card, „trace EIN.png“ heißt picture, „text“ heißt lettering):</translation>
    </message>
    <message>
        <source>With --pitch or --gap (between shapes): any two give the rest.</source>
        <translation>Mit --pitch oder --gap (zwischen den Formen): Zwei davon ergeben den Rest.</translation>
    </message>
    <message>
        <source>Width of the tip, for coverage; where nothing is said, the tool&apos;s.</source>
        <translation>Breite der Spitze, für die Deckung; wo nichts gesagt ist, die des Werkzeugs.</translation>
    </message>
    <message>
        <source>degrees</source>
        <translation>Grad</translation>
    </message>
    <message>
        <source>roles or line ids</source>
        <translation>Rollen oder Kennungen von Linien</translation>
    </message>
    <message>
        <source>x,y,... as fractions of the bounds</source>
        <translation>x,y,... als Bruchteile der Grenzen</translation>
    </message>
    <message>
        <source>rows of six numbers</source>
        <translation>Reihen von sechs Zahlen</translation>
    </message>
    <message>
        <source>text</source>
        <translation>Text</translation>
    </message>
    <message>
        <source>number</source>
        <translation>Zahl</translation>
    </message>
    <message>
        <source>Wrote {file}</source>
        <translation>{file} geschrieben</translation>
    </message>
    <message>
        <source>Wrote {file}: {pages|n:page:pages}</source>
        <translation>{file} geschrieben: {pages|n:Seite:Seiten}</translation>
    </message>
    <message>
        <source>Wrote {file}: {across|n:page:pages} across, {down|0} down</source>
        <translation>{file} geschrieben: {across|n:Seite:Seiten} breit, {down|0} hoch</translation>
    </message>
    <message>
        <source>Wrote {file}: {pages|n:page:pages}, {steps|n:step:steps}, {parts|n:part:parts}</source>
        <translation>{file} geschrieben: {pages|n:Seite:Seiten}, {steps|n:Schritt:Schritte}, {parts|n:Teil:Teile}</translation>
    </message>
    <message>
        <source>Wrote {file}: {parts|n:part:parts} on {sheets|n:sheet:sheets}, density {density|3}</source>
        <translation>{file} geschrieben: {parts|n:Teil:Teile} auf {sheets|n:Bogen:Bögen}, Dichte {density|3}</translation>
    </message>
    <message>
        <source>Wrote {file}: {tiles|n:tile:tiles}, seams of {seams|1} mm, {visible|1} mm of them in sight</source>
        <translation>{file} geschrieben: {tiles|n:Kachel:Kacheln}, Nähte von {seams|1} mm, davon {visible|1} mm zu sehen</translation>
    </message>
    <message>
        <source>Wrote {file}: {contours|n:contour:contours}, {nodes|n:node:nodes}, {width|2} x {height|2} mm, {area|2} mm²[, {islands|n:island:islands} held by {bridges|n:bridge:bridges}][, {removed|2} mm² of stock saved]</source>
        <translation>{file} geschrieben: {contours|n:Kontur:Konturen}, {nodes|n:Knoten:Knoten}, {width|2} x {height|2} mm, {area|2} mm²[, {islands|n:Insel:Inseln} von {bridges|n:Steg:Stegen} gehalten][, {removed|2} mm² Material gespart]</translation>
    </message>
    <message>
        <source>Note: {note}</source>
        <translation>Hinweis: {note}</translation>
    </message>
    <message>
        <source>{parts|0} larger than the sheet</source>
        <translation>{parts|0} größer als der Bogen</translation>
    </message>
    <message>
        <source>{minutes|1} min</source>
        <translation>{minutes|1} min</translation>
    </message>
    <message>
        <source>{minutes|0} min {seconds|0} s</source>
        <translation>{minutes|0} min {seconds|0} s</translation>
    </message>
    <message>
        <source>error</source>
        <translation>Fehler</translation>
    </message>
    <message>
        <source>warning</source>
        <translation>Warnung</translation>
    </message>
    <message>
        <source>note</source>
        <translation>Hinweis</translation>
    </message>
    <message>
        <source>Nothing found.</source>
        <translation>Nichts gefunden.</translation>
    </message>
    <message>
        <source>can be settled: {how}</source>
        <translation>lässt sich beheben: {how}</translation>
    </message>
    <message>
        <source>Size {width|2} x {height|2} mm, stated ({per-inch|2} per inch)</source>
        <translation>Größe {width|2} x {height|2} mm, angegeben ({per-inch|2} je Zoll)</translation>
    </message>
    <message>
        <source>Size {width|2} x {height|2} mm, assumed ({per-inch|2} per inch)</source>
        <translation>Größe {width|2} x {height|2} mm, angenommen ({per-inch|2} je Zoll)</translation>
    </message>
    <message>
        <source>No parts: nothing is cut, scored, drawn, foiled, engraved or printed.</source>
        <translation>Keine Teile: Nichts wird geschnitten, gerillt, gezeichnet, foliert, graviert oder gedruckt.</translation>
    </message>
    <message>
        <source>nothing to run: no line has a role and a tool</source>
        <translation>nichts zu tun: Keine Linie hat eine Rolle und ein Werkzeug</translation>
    </message>
    <message>
        <source>lines only</source>
        <translation>nur Linien</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>role</source>
        <translation>Rolle</translation>
    </message>
    <message>
        <source>closed</source>
        <translation>geschlossen</translation>
    </message>
    <message>
        <source>open</source>
        <translation>offen</translation>
    </message>
    <message>
        <source>length mm</source>
        <translation>Länge mm</translation>
    </message>
    <message>
        <source>area mm²</source>
        <translation>Fläche mm²</translation>
    </message>
    <message>
        <source>total</source>
        <translation>zusammen</translation>
    </message>
    <message>
        <source>part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>stock</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>width mm</source>
        <translation>Breite mm</translation>
    </message>
    <message>
        <source>height mm</source>
        <translation>Höhe mm</translation>
    </message>
    <message>
        <source>pass</source>
        <translation>Durchgang</translation>
    </message>
    <message>
        <source>holder</source>
        <translation>Halter</translation>
    </message>
    <message>
        <source>role and tool</source>
        <translation>Rolle und Werkzeug</translation>
    </message>
    <message>
        <source>lines mm</source>
        <translation>Linien mm</translation>
    </message>
    <message>
        <source>travel mm</source>
        <translation>Weg mm</translation>
    </message>
    <message>
        <source>lifts</source>
        <translation>Abheben</translation>
    </message>
    <message>
        <source>repeats</source>
        <translation>Wiederholungen</translation>
    </message>
    <message>
        <source>time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>{name}[  (ships with Dot Lane: {about})]</source>
        <translation>{name}[  (kommt mit Dot Lane: {about})]</translation>
    </message>
    <message>
        <source>{name}[  (ships with Dot Lane: {about})]  (outlines reserved)</source>
        <translation>{name}[  (kommt mit Dot Lane: {about})]  (Umrisse vorbehalten)</translation>
    </message>
    <message>
        <source>pause: {what}</source>
        <translation>Pause: {what}</translation>
    </message>
    <message>
        <source>mat load {load|0}</source>
        <translation>Mattenladung {load|0}</translation>
    </message>
    <message>
        <source>holder {holder|0}: {tool}[ at mark {mark|2}]</source>
        <translation>Halter {holder|0}: {tool}[ auf Marke {mark|2}]</translation>
    </message>
    <message>
        <source>{passes|n:pass:passes}, {pauses|n:pause:pauses}, {time} with hands on[ ({least} to {most})]</source>
        <translation>{passes|n:Durchgang:Durchgänge}, {pauses|n:Pause:Pausen}, {time} mit Handgriffen[ ({least} bis {most})]</translation>
    </message>
    <message>
        <source>{passes|n:pass:passes}, {pauses|n:pause:pauses}, {time} with hands on[ ({least} to {most})], mirrored</source>
        <translation>{passes|n:Durchgang:Durchgänge}, {pauses|n:Pause:Pausen}, {time} mit Handgriffen[ ({least} bis {most})], gespiegelt</translation>
    </message>
    <message>
        <source>Not proven to be the best order; no order needs fewer than {pauses|n:pause:pauses}.</source>
        <translation>Nicht bewiesen, dass es die beste Reihenfolge ist; keine braucht weniger als {pauses|n:Pause:Pausen}.</translation>
    </message>
    <message>
        <source>running</source>
        <translation>läuft</translation>
    </message>
    <message>
        <source>done</source>
        <translation>fertig</translation>
    </message>
    <message>
        <source>cancelled</source>
        <translation>abgebrochen</translation>
    </message>
    <message>
        <source>failed</source>
        <translation>gescheitert</translation>
    </message>
    <message>
        <source>Outcome: {outcome}, {pauses|n:pause:pauses}, {time} of running (planned {planned})</source>
        <translation>Ergebnis: {outcome}, {pauses|n:Pause:Pausen}, {time} Laufzeit (geplant {planned})</translation>
    </message>
    <message>
        <source>{mm|1} mm marked</source>
        <translation>{mm|1} mm markiert</translation>
    </message>
    <message>
        <source>Strokes: {made|0} made, {twice|0} twice, {missing|0} missing; marks at most {most|3} mm off, {mean|3} mm in the mean, {corners|n:corner:corners} rounded</source>
        <translation>Striche: {made|0} gemacht, {twice|0} doppelt, {missing|0} fehlen; Marken höchstens {most|3} mm daneben, im Mittel {mean|3} mm, {corners|n:Ecke:Ecken} gerundet</translation>
    </message>
    <message>
        <source>Gone on {times|n:time:times} after it was broken off</source>
        <translation>{times|0}-mal weitergegangen, nachdem es abgebrochen war</translation>
    </message>
    <message>
        <source>Printed sheet with the id {sheet|0}: marks found, the cut at most {most|3} mm off the print</source>
        <translation>Bedruckter Bogen mit der Kennung {sheet|0}: Marken gefunden, der Schnitt höchstens {most|3} mm neben dem Druck</translation>
    </message>
    <message>
        <source>Printed sheet with the id {sheet|0}: its marks were not found</source>
        <translation>Bedruckter Bogen mit der Kennung {sheet|0}: seine Marken wurden nicht gefunden</translation>
    </message>
    <message>
        <source>{strokes|n:stroke:strokes}, {length|1} mm, {lifts|n:lift:lifts}, {seconds|1} s; a tip of {tip|2} mm covers {percent|1} %, the largest gap is {gap|2} mm</source>
        <translation>{strokes|n:Strich:Striche}, {length|1} mm, {lifts|0}-mal abheben, {seconds|1} s; eine Spitze von {tip|2} mm deckt {percent|1} %, die größte Lücke hat {gap|2} mm</translation>
    </message>
    <message>
        <source>Note: {line} has a part without any stroke.</source>
        <translation>Hinweis: {line} hat ein Teil ohne jeden Strich.</translation>
    </message>
    <message>
        <source>At most {percent|1} % of its size today: {width|1} x {height|1} mm.</source>
        <translation>Höchstens {percent|1} % der Größe von heute: {width|1} x {height|1} mm.</translation>
    </message>
    <message>
        <source>{part} stops it, turned by {turn|1} degrees.</source>
        <translation>{part} hält es auf, um {turn|1} Grad gedreht.</translation>
    </message>
    <message>
        <source>On a mat of {name}: {percent|1} %, {width|1} x {height|1} mm.</source>
        <translation>Auf einer Matte von {name}: {percent|1} %, {width|1} x {height|1} mm.</translation>
    </message>
    <message>
        <source>On a whole sheet of {name}: {percent|1} %, {width|1} x {height|1} mm.</source>
        <translation>Auf einem ganzen Bogen {name}: {percent|1} %, {width|1} x {height|1} mm.</translation>
    </message>
    <message>
        <source>With one seam across {name}: {percent|1} %, {width|1} x {height|1} mm.</source>
        <translation>Mit einer Naht durch {name}: {percent|1} %, {width|1} x {height|1} mm.</translation>
    </message>
    <message>
        <source>With {name} trimmed under what lies on it: {percent|1} %, {width|1} x {height|1} mm.</source>
        <translation>Mit {name}, beschnitten unter dem, was darauf liegt: {percent|1} %, {width|1} x {height|1} mm.</translation>
    </message>
    <message>
        <source>{sheets|n:sheet:sheets} of {stock} then.</source>
        <translation>Dann {sheets|n:Bogen:Bögen} {stock}.</translation>
    </message>
    <message>
        <source>{piece}: {width|2} x {height|2} mm, from left {left|2}, from top {top|2}</source>
        <translation>{piece}: {width|2} x {height|2} mm, von links {left|2}, von oben {top|2}</translation>
    </message>
    <message>
        <source>left: {mm|2} mm to {to}</source>
        <translation>links: {mm|2} mm bis {to}</translation>
    </message>
    <message>
        <source>right: {mm|2} mm to {to}</source>
        <translation>rechts: {mm|2} mm bis {to}</translation>
    </message>
    <message>
        <source>top: {mm|2} mm to {to}</source>
        <translation>oben: {mm|2} mm bis {to}</translation>
    </message>
    <message>
        <source>bottom: {mm|2} mm to {to}</source>
        <translation>unten: {mm|2} mm bis {to}</translation>
    </message>
    <message>
        <source>{line}: {length|2} mm long[, encloses {area|2} mm²][, thinnest {thinnest|2} mm]</source>
        <translation>{line}: {length|2} mm lang[, umschließt {area|2} mm²][, am dünnsten {thinnest|2} mm]</translation>
    </message>
    <message>
        <source>{strokes|n:stroke:strokes}: {travel|1} mm of travel, {filed|1} mm in the order of the file</source>
        <translation>{strokes|n:Strich:Striche}: {travel|1} mm Weg, {filed|1} mm in der Reihenfolge der Datei</translation>
    </message>
    <message>
        <source>{line}, from its end</source>
        <translation>{line}, von hinten</translation>
    </message>
    <message>
        <source>Sheet {sheet|0}, {stock}: {parts|n:part:parts}, {percent|0} % used, offcut {width|0} x {height|0} mm</source>
        <translation>Bogen {sheet|0}, {stock}: {parts|n:Teil:Teile}, {percent|0} % genutzt, Abschnitt {width|0} x {height|0} mm</translation>
    </message>
    <message>
        <source>{parts|0} waiting for room</source>
        <translation>{parts|n:wartet:warten} auf Platz</translation>
    </message>
    <message>
        <source>No sheet.</source>
        <translation>Kein Bogen.</translation>
    </message>
    <message>
        <source>Scrap {width|1} x {height|1} mm, {area|1} cm²</source>
        <translation>Rest {width|1} x {height|1} mm, {area|1} cm²</translation>
    </message>
    <message>
        <source>Nothing on the mat.</source>
        <translation>Nichts auf der Matte.</translation>
    </message>
    <message>
        <source>{part}: {tiles|n:tile:tiles}, seams of {seams|1} mm, {visible|1} mm of them in sight</source>
        <translation>{part}: {tiles|n:Kachel:Kacheln}, Nähte von {seams|1} mm, davon {visible|1} mm zu sehen</translation>
    </message>
    <message>
        <source>{part}: {tiles|n:tile:tiles}, seams of {seams|1} mm, {visible|1} mm of them in sight; still larger than its sheet</source>
        <translation>{part}: {tiles|n:Kachel:Kacheln}, Nähte von {seams|1} mm, davon {visible|1} mm zu sehen; noch immer größer als sein Bogen</translation>
    </message>
    <message>
        <source>Every part fits a sheet.</source>
        <translation>Jedes Teil passt auf einen Bogen.</translation>
    </message>
    <message>
        <source>{parts|0} narrower than a sliver</source>
        <translation>{parts|0} schmaler als ein Splitter</translation>
    </message>
    <message>
        <source>{piece}: {paint}, {bridges|n:bridge:bridges}</source>
        <translation>{piece}: {paint}, {bridges|n:Steg:Stege}</translation>
    </message>
    <message>
        <source>{piece}: nothing to paint, {bridges|n:bridge:bridges}</source>
        <translation>{piece}: nichts zu malen, {bridges|n:Steg:Stege}</translation>
    </message>
    <message>
        <source>{piece}: {bits|n:bit:bits} of {shapes|n:shape:shapes}</source>
        <translation>{piece}: {bits|n:Stückchen:Stückchen} von {shapes|n:Form:Formen}</translation>
    </message>
    <message>
        <source>No piece is a stencil.</source>
        <translation>Kein Stück ist eine Schablone.</translation>
    </message>
    <message>
        <source>{stock}: {length|0} mm long, {parts|n:part:parts}, {percent|0} % used</source>
        <translation>{stock}: {length|0} mm lang, {parts|n:Teil:Teile}, {percent|0} % genutzt</translation>
    </message>
    <message>
        <source>Fusible web for {stock}: {length|0} mm long, {parts|n:part:parts}, {percent|0} % used</source>
        <translation>Haftvlies für {stock}: {length|0} mm lang, {parts|n:Teil:Teile}, {percent|0} % genutzt</translation>
    </message>
    <message>
        <source>No parts.</source>
        <translation>Keine Teile.</translation>
    </message>
    <message>
        <source>{other} and {keep} differ by {difference|1} (CIEDE2000); {sheets|n:sheet:sheets} together, {united|0} as one</source>
        <translation>{other} und {keep} unterscheiden sich um {difference|1} (CIEDE2000); zusammen {sheets|n:Bogen:Bögen}, als eines {united|0}</translation>
    </message>
    <message>
        <source>No two stocks in use are nearly the same colour.</source>
        <translation>Keine zwei genutzten Materialien haben fast dieselbe Farbe.</translation>
    </message>
    <message>
        <source>{name}, {width|1} x {height|1} mm  {path}</source>
        <translation>{name}, {width|1} x {height|1} mm  {path}</translation>
    </message>
    <message>
        <source>{name}, cannot be read: {why}  {path}</source>
        <translation>{name}, nicht lesbar: {why}  {path}</translation>
    </message>
    <message>
        <source>{piece|0}  {name}, {width|1} x {height|1} mm</source>
        <translation>{piece|0}  {name}, {width|1} x {height|1} mm</translation>
    </message>
    <message>
        <source>no project has all of that in it</source>
        <translation>kein Projekt hat das alles in sich</translation>
    </message>
    <message>
        <source>{width|1} x {height|1} mm, a scrap[, {reserved|0} reserved][, {missing|0} to buy][, {price|2} each]</source>
        <translation>{width|1} x {height|1} mm, ein Rest[, {reserved|0} vorgemerkt][, {missing|0} zu kaufen][, je {price|2}]</translation>
    </message>
    <message>
        <source>{width|1} x {height|1} mm, {count|0} owned[, {reserved|0} reserved][, {missing|0} to buy][, {price|2} each]</source>
        <translation>{width|1} x {height|1} mm, {count|0} vorhanden[, {reserved|0} vorgemerkt][, {missing|0} zu kaufen][, je {price|2}]</translation>
    </message>
    <message>
        <source>{width|1} x {height|1} mm, as many as wanted[, {reserved|0} reserved][, {missing|0} to buy][, {price|2} each]</source>
        <translation>{width|1} x {height|1} mm, beliebig viele[, {reserved|0} vorgemerkt][, {missing|0} zu kaufen][, je {price|2}]</translation>
    </message>
    <message>
        <source>nothing is on the shelf</source>
        <translation>im Regal ist nichts</translation>
    </message>
    <message>
        <source>{stock} {width|1} x {height|1} mm: {sheets|n:sheet:sheets}[, {missing|0} to buy]</source>
        <translation>{stock} {width|1} x {height|1} mm: {sheets|n:Bogen:Bögen}[, {missing|0} zu kaufen]</translation>
    </message>
    <message>
        <source>{stock} {width|1} x {height|1} mm: {sheets|n:scrap:scraps}</source>
        <translation>{stock} {width|1} x {height|1} mm: {sheets|n:Rest:Reste}</translation>
    </message>
    <message>
        <source>{parts|n:part fits:parts fit} on no sheet</source>
        <translation>{parts|n:Teil passt:Teile passen} auf keinen Bogen</translation>
    </message>
    <message>
        <source>sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>offcut</source>
        <translation>Abschnitt</translation>
    </message>
    <message>
        <source>wear</source>
        <translation>Verschleiß</translation>
    </message>
    <message>
        <source>work</source>
        <translation>Arbeit</translation>
    </message>
    <message>
        <source>in all {sum}</source>
        <translation>zusammen {sum}</translation>
    </message>
    <message>
        <source>in all {sum}, apiece {each|4}</source>
        <translation>zusammen {sum}, je Stück {each|4}</translation>
    </message>
    <message>
        <source>yes</source>
        <translation>ja</translation>
    </message>
    <message>
        <source>NO</source>
        <translation>NEIN</translation>
    </message>
    <message>
        <source>good</source>
        <translation>gut</translation>
    </message>
    <message>
        <source>weak</source>
        <translation>zu schwach</translation>
    </message>
    <message>
        <source>strong</source>
        <translation>zu stark</translation>
    </message>
    <message>
        <source>torn</source>
        <translation>gerissen</translation>
    </message>
    <message>
        <source>skipped</source>
        <translation>ausgelassen</translation>
    </message>
    <message>
        <source>no runs</source>
        <translation>keine Läufe</translation>
    </message>
    <message>
        <source>(test cut)</source>
        <translation>(Probeschnitt)</translation>
    </message>
    <message>
        <source>(rehearsed)</source>
        <translation>(geprobt)</translation>
    </message>
    <message>
        <source>{project}, begun {begun}, {outcome}</source>
        <translation>{project}, begonnen {begun}, {outcome}</translation>
    </message>
    <message>
        <source>mark {mark|0}</source>
        <translation>Marke {mark|0}</translation>
    </message>
    <message>
        <source>{real|0} of {planned|0} s</source>
        <translation>{real|0} von {planned|0} s</translation>
    </message>
    <message>
        <source>{force|0} gf[, mark {mark|0}], {speed|0} mm/s[, {times|0} times]: comes out well with {percent|0} %, from {passes|n:pass:passes} of yours. The test cut that tells most: {test-force|0} gf[, mark {test-mark|0}]</source>
        <translation>{force|0} gf[, Marke {mark|0}], {speed|0} mm/s[, {times|0}-mal]: gelingt mit {percent|0} %, nach {passes|n:eigenen Durchgang:eigenen Durchgängen}. Der Probeschnitt, der am meisten sagt: {test-force|0} gf[, Marke {test-mark|0}]</translation>
    </message>
    <message>
        <source>{force|0} gf[, mark {mark|0}], {speed|0} mm/s[, {times|0} times]: comes out well with {percent|0} %, from what is known of the stock. The test cut that tells most: {test-force|0} gf[, mark {test-mark|0}]</source>
        <translation>{force|0} gf[, Marke {mark|0}], {speed|0} mm/s[, {times|0}-mal]: gelingt mit {percent|0} %, nach dem, was vom Material bekannt ist. Der Probeschnitt, der am meisten sagt: {test-force|0} gf[, Marke {test-mark|0}]</translation>
    </message>
    <message>
        <source>{percent|1} % of the planned time, give or take {spread|1} %</source>
        <translation>{percent|1} % der geplanten Zeit, {spread|1} % auf oder ab</translation>
    </message>
    <message>
        <source>too few runs on a machine of that name</source>
        <translation>zu wenige Läufe auf einer Maschine dieses Namens</translation>
    </message>
    <message>
        <source>{metres|2} m[ of {lasts|1} m]</source>
        <translation>{metres|2} m[ von {lasts|1} m]</translation>
    </message>
    <message>
        <source>{tool} will not last: it ends in pass {pass|0}</source>
        <translation>{tool} wird nicht reichen: Es endet in Durchgang {pass|0}</translation>
    </message>
    <message>
        <source>nothing has been marked yet</source>
        <translation>noch wurde nichts markiert</translation>
    </message>
    <message>
        <source>{runs|n:run:runs} kept</source>
        <translation>{runs|n:Lauf:Läufe} behalten</translation>
    </message>
    <message>
        <source>{runs|n:run:runs}, sound</source>
        <translation>{runs|n:Lauf:Läufe}, in Ordnung</translation>
    </message>
    <message>
        <source>COMMAND</source>
        <translation>BEFEHL</translation>
    </message>
    <message>
        <source>FILE</source>
        <translation>DATEI</translation>
    </message>
    <message>
        <source>FOLDER</source>
        <translation>ORDNER</translation>
    </message>
    <message>
        <source>HEIGHT</source>
        <translation>HÖHE</translation>
    </message>
    <message>
        <source>IN</source>
        <translation>EIN</translation>
    </message>
    <message>
        <source>KEY</source>
        <translation>NAME</translation>
    </message>
    <message>
        <source>LENGTH</source>
        <translation>LÄNGE</translation>
    </message>
    <message>
        <source>NAME</source>
        <translation>NAME</translation>
    </message>
    <message>
        <source>NUMBER</source>
        <translation>ZAHL</translation>
    </message>
    <message>
        <source>OTHER</source>
        <translation>ANDERE</translation>
    </message>
    <message>
        <source>OUT</source>
        <translation>AUS</translation>
    </message>
    <message>
        <source>PERCENT</source>
        <translation>PROZENT</translation>
    </message>
    <message>
        <source>PHOTO</source>
        <translation>FOTO</translation>
    </message>
    <message>
        <source>PROJECT</source>
        <translation>PROJEKT</translation>
    </message>
    <message>
        <source>ROLE</source>
        <translation>ROLLE</translation>
    </message>
    <message>
        <source>SECONDS</source>
        <translation>SEKUNDEN</translation>
    </message>
    <message>
        <source>SHAPE</source>
        <translation>FORM</translation>
    </message>
    <message>
        <source>SIZE</source>
        <translation>GRÖSSE</translation>
    </message>
    <message>
        <source>STEP</source>
        <translation>SCHRITT</translation>
    </message>
    <message>
        <source>TEXT</source>
        <translation>TEXT</translation>
    </message>
    <message>
        <source>TOOL</source>
        <translation>WERKZEUG</translation>
    </message>
    <message>
        <source>UPPER</source>
        <translation>OBERE</translation>
    </message>
    <message>
        <source>VALUE</source>
        <translation>WERT</translation>
    </message>
    <message>
        <source>WHEN</source>
        <translation>WANN</translation>
    </message>
    <message>
        <source>WIDTH</source>
        <translation>BREITE</translation>
    </message>
    <message>
        <source>WORD</source>
        <translation>WORT</translation>
    </message>
    <message>
        <source>WORDS</source>
        <translation>WÖRTER</translation>
    </message>
    <message>
        <source>what is in a drawing or project: size, lines, lengths, areas, findings</source>
        <translation>was in einer Zeichnung oder einem Projekt ist: Größe, Linien, Längen, Flächen, Befunde</translation>
    </message>
    <message>
        <source>a project with the drawing as a piece</source>
        <translation>ein Projekt mit der Zeichnung als Stück</translation>
    </message>
    <message>
        <source>role (cut, score, draw, foil, engrave, print, guide) and tool of a colour&apos;s lines; as often as there are colours</source>
        <translation>Rolle (cut, score, draw, foil, engrave, print, guide) und Werkzeug der Linien einer Farbe; so oft, wie es Farben gibt</translation>
    </message>
    <message>
        <source>artwork units per inch, for a file that states no size (96)</source>
        <translation>Einheiten der Zeichnung je Zoll, für eine Datei, die keine Größe angibt (96)</translation>
    </message>
    <message>
        <source>of a PDF with several (1)</source>
        <translation>von einer PDF-Datei mit mehreren (1)</translation>
    </message>
    <message>
        <source>one step of a recipe: offset, join, cut-away, overlap, divide, trim, simplify, drop-small and more; OUT may be a .dotlane project with the recipe</source>
        <translation>ein Schritt eines Rezepts: offset, join, cut-away, overlap, divide, trim, simplify, drop-small und mehr; AUS kann ein .dotlane-Projekt mit dem Rezept sein</translation>
    </message>
    <message>
        <source>a ready shape: card, label, badge and more</source>
        <translation>eine fertige Form: card, label, badge und mehr</translation>
    </message>
    <message>
        <source>outlines of a picture</source>
        <translation>Umrisse eines Bildes</translation>
    </message>
    <message>
        <source>lettering; an arc below zero has its heads inward</source>
        <translation>Schriftzug; ein Bogen unter null hat die Köpfe nach innen</translation>
    </message>
    <message>
        <source>a fill, with its strokes, coverage, lifts and seconds</source>
        <translation>eine Füllung, mit ihren Strichen, ihrer Deckung, dem Abheben und den Sekunden</translation>
    </message>
    <message>
        <source>every step and shape with its values</source>
        <translation>jeder Schritt und jede Form mit ihren Werten</translation>
    </message>
    <message>
        <source>the typefaces at hand, or all about one</source>
        <translation>die vorhandenen Schriften, oder alles über eine</translation>
    </message>
    <message>
        <source>what comes off the sheets: each with its size, its stock and its lines</source>
        <translation>was von den Bögen kommt: jedes mit seiner Größe, seinem Material und seinen Linien</translation>
    </message>
    <message>
        <source>what lies on which sheet, how much of it is used and what is left; packed anew if asked</source>
        <translation>was auf welchem Bogen liegt, wie viel davon genutzt ist und was übrig bleibt; auf Wunsch neu gepackt</translation>
    </message>
    <message>
        <source>what lies on a photograph of the mat, by its corners in px; kept on the shelf if asked</source>
        <translation>was auf einem Foto der Matte liegt, nach deren Ecken in px; auf Wunsch im Regal behalten</translation>
    </message>
    <message>
        <source>how long a piece of each stock to buy off a bolt so wide, and of fusible web; what shrinks does so by so many percent</source>
        <translation>ein wie langes Stück jedes Materials von einem so breiten Ballen zu kaufen ist, und wie viel Haftvlies; was einläuft, tut es um so viel Prozent</translation>
    </message>
    <message>
        <source>stencils for painting in layers: a plate for each piece, the lowest painted first</source>
        <translation>Schablonen zum Malen in Lagen: eine Platte für jedes Stück, das unterste zuerst gemalt</translation>
    </message>
    <message>
        <source>frame, distances to another piece; length, area and thinnest place of lines</source>
        <translation>Rahmen, Abstände zu einem anderen Stück; Länge, Fläche und dünnste Stelle von Linien</translation>
    </message>
    <message>
        <source>the bits that stencils (or all pieces) leave, of so many mm² at least, counted by shape; kept on the shelf if asked</source>
        <translation>was aus Schablonen (oder allen Stücken) herausfällt, ab so vielen mm², nach Formen gezählt; auf Wunsch im Regal behalten</translation>
    </message>
    <message>
        <source>the closed outlines of a drawing onto sheets; each is turned about the origin, then moved</source>
        <translation>die geschlossenen Umrisse einer Zeichnung auf Bögen; jeder wird um den Ursprung gedreht, dann verschoben</translation>
    </message>
    <message>
        <source>how large it may be for its sheets, which part stops it, what would help, sheets it takes then</source>
        <translation>wie groß es für seine Bögen sein darf, welches Teil es aufhält, was hülfe und wie viele Bögen es dann braucht</translation>
    </message>
    <message>
        <source>what is larger than a sheet in tiles that each fit one, with little seam in sight</source>
        <translation>was größer als ein Bogen ist, in Kacheln, die je auf einen passen, mit wenig Naht zu sehen</translation>
    </message>
    <message>
        <source>every part of the project that fits none of its sheets, by a seams step</source>
        <translation>jedes Teil des Projekts, das auf keinen seiner Bögen passt, durch einen Schritt mit Nähten</translation>
    </message>
    <message>
        <source>how it is put together: the figure, a page a step from the back layer up, what is on which sheet; or, as a poster, the figure with its numbers at true scale, on as many pages as it takes</source>
        <translation>wie es zusammengesetzt wird: die Figur, eine Seite je Schritt von der hintersten Lage nach vorn, was auf welchem Bogen ist; oder, als Poster, die Figur mit ihren Nummern in wahrer Größe auf so vielen Seiten, wie sie braucht</translation>
    </message>
    <message>
        <source>its open paths and loops in an order with little travel; from which end, by which entry</source>
        <translation>ihre offenen Pfade und Schleifen in einer Reihenfolge mit wenig Weg; von welchem Ende, an welcher Stelle begonnen</translation>
    </message>
    <message>
        <source>the passes</source>
        <translation>die Durchgänge</translation>
    </message>
    <message>
        <source>the findings; exit code 1 when one is an error</source>
        <translation>die Befunde; Rückgabewert 1, wenn einer ein Fehler ist</translation>
    </message>
    <message>
        <source>the whole job on the simulated cutter, pauses confirmed as the job wants; printed sheets are laid by chance, found by their marks, and the cut compared with the print. With physics blades trail and tools land a little off; faults: dry wear wrong-tool slip jam link power garbage full</source>
        <translation>der ganze Auftrag auf dem simulierten Schneider, Pausen bestätigt, wie der Auftrag es will; bedruckte Bögen werden nach Zufall eingelegt, an ihren Marken gefunden, und der Schnitt wird mit dem Druck verglichen. Mit Physik laufen Klingen nach, und Werkzeuge setzen etwas daneben auf; Störungen: dry wear wrong-tool slip jam link power garbage full</translation>
    </message>
    <message>
        <source>the cutter, its tools and what the stock takes are really as P2 says</source>
        <translation>der Schneider, seine Werkzeuge und was das Material verträgt sind in Wahrheit, wie P2 es sagt</translation>
    </message>
    <message>
        <source>where the journal of the run is kept</source>
        <translation>wo das Journal des Laufs bleibt</translation>
    </message>
    <message>
        <source>times as fast as the machine; as fast as it can where nothing is said</source>
        <translation>so vielmal schneller als die Maschine; so schnell es geht, wo nichts gesagt ist</translation>
    </message>
    <message>
        <source>goes on with the run of that journal</source>
        <translation>macht mit dem Lauf dieses Journals weiter</translation>
    </message>
    <message>
        <source>the calibration sheets there are</source>
        <translation>welche Kalibrierbögen es gibt</translation>
    </message>
    <message>
        <source>what is read off that sheet, or the sheet itself as a project</source>
        <translation>was von diesem Bogen abgelesen wird, oder der Bogen selbst als Projekt</translation>
    </message>
    <message>
        <source>what was read goes into tools, stock and machine</source>
        <translation>was abgelesen wurde, geht in Werkzeuge, Material und Maschine ein</translation>
    </message>
    <message>
        <source>takes over tools, stocks and machine of another project</source>
        <translation>übernimmt Werkzeuge, Materialien und Maschine eines anderen Projekts</translation>
    </message>
    <message>
        <source>jobs with a fault in them, easy ones first</source>
        <translation>Aufträge mit einem Fehler darin, leichte zuerst</translation>
    </message>
    <message>
        <source>one of them</source>
        <translation>einer davon</translation>
    </message>
    <message>
        <source>whether what came of it would leave what is wanted (exit code 1: not yet)</source>
        <translation>ob das, was daraus wurde, ergäbe, was gewünscht ist (Rückgabewert 1: noch nicht)</translation>
    </message>
    <message>
        <source>what is owned, what the project&apos;s sheets take of it, what is to be bought</source>
        <translation>was vorhanden ist, was die Bögen des Projekts davon nehmen, was zu kaufen ist</translation>
    </message>
    <message>
        <source>sheets or scraps of a stock that are owned</source>
        <translation>Bögen oder Reste eines Materials, die vorhanden sind</translation>
    </message>
    <message>
        <source>after a run: its sheets are off the shelf, what is left of them is back on it</source>
        <translation>nach einem Lauf: Seine Bögen sind aus dem Regal, was von ihnen übrig ist, liegt wieder darin</translation>
    </message>
    <message>
        <source>sheets less what is left of them, wear of tools, work: to the hundredth</source>
        <translation>Bögen weniger, was von ihnen übrig ist, Verschleiß der Werkzeuge, Arbeit: auf das Hundertstel</translation>
    </message>
    <message>
        <source>of a batch: packed onto what is on the shelf, what has to be bought, apiece</source>
        <translation>einer Serie: gepackt auf das, was im Regal ist, was zu kaufen ist, je Stück</translation>
    </message>
    <message>
        <source>the runs of the logbook, those that are asked for</source>
        <translation>die Läufe des Logbuchs, nach denen gefragt ist</translation>
    </message>
    <message>
        <source>a run of the logbook; its project as it was then</source>
        <translation>ein Lauf des Logbuchs; sein Projekt, wie es damals war</translation>
    </message>
    <message>
        <source>how a run, or a pass of it, came out</source>
        <translation>wie ein Lauf, oder ein Durchgang davon, gelungen ist</translation>
    </message>
    <message>
        <source>what to set now, by what came of passes before; --json: with how sure, from how many</source>
        <translation>was jetzt einzustellen ist, nach dem, was aus früheren Durchgängen wurde; --json: wie sicher, nach wie vielen</translation>
    </message>
    <message>
        <source>how long the machine really takes, by role; taken over if asked</source>
        <translation>wie lange die Maschine wirklich braucht, nach Rollen; auf Wunsch übernommen</translation>
    </message>
    <message>
        <source>how far tools have gone since they were new, and what will not last for the project</source>
        <translation>wie weit Werkzeuge gegangen sind, seit sie neu waren, und was für das Projekt nicht reichen wird</translation>
    </message>
    <message>
        <source>since when a tool is new</source>
        <translation>seit wann ein Werkzeug neu ist</translation>
    </message>
    <message>
        <source>the whole logbook</source>
        <translation>das ganze Logbuch</translation>
    </message>
    <message>
        <source>what another logbook gave out</source>
        <translation>was ein anderes Logbuch ausgegeben hat</translation>
    </message>
    <message>
        <source>whether the logbook is sound (exit code 1: it is not)</source>
        <translation>ob das Logbuch in Ordnung ist (Rückgabewert 1: nein)</translation>
    </message>
    <message>
        <source>for all of log: that one, else the one in the user&apos;s data folder</source>
        <translation>für alles von log: dieses, sonst das im Datenordner des Benutzers</translation>
    </message>
    <message>
        <source>all one&apos;s projects in which each word begins a word, and each size (&quot;5x7in&quot;) is that of something: by name, piece, what is lettered, stock; --in: those of a folder are taken in first</source>
        <translation>alle eigenen Projekte, in denen jedes Wort ein Wort beginnt und jede Größe („5x7in“) die von etwas ist: nach Name, Stück, Schriftzug, Material; --in: Die eines Ordners werden vorher aufgenommen</translation>
    </message>
    <message>
        <source>pieces of another project, with the stocks and tools that they want</source>
        <translation>Stücke eines anderen Projekts, mit den Materialien und Werkzeugen, die sie brauchen</translation>
    </message>
    <message>
        <source>a small picture of the whole project, as file managers show it</source>
        <translation>ein kleines Bild des ganzen Projekts, wie Dateimanager es zeigen</translation>
    </message>
    <message>
        <source>what is printed before it is cut, with bleed and marks: one page a sheet, as large as the sheet</source>
        <translation>was gedruckt wird, bevor es geschnitten wird, mit Anschnitt und Marken: eine Seite je Bogen, so groß wie der Bogen</translation>
    </message>
    <message>
        <source>the job as .svg, .dxf, .hpgl, .plt, .gcode, .nc, .png or .pdf; the profile tells how a G-code machine lifts its tool</source>
        <translation>der Auftrag als .svg, .dxf, .hpgl, .plt, .gcode, .nc, .png oder .pdf; das Profil sagt, wie eine G-Code-Maschine ihr Werkzeug hebt</translation>
    </message>
    <message>
        <source>the job sheet: time, stock, passes, what hands do and when, cautions, every sheet at true scale</source>
        <translation>das Auftragsblatt: Zeit, Material, Durchgänge, was Hände wann tun, Vorsicht, jeder Bogen in wahrer Größe</translation>
    </message>
    <message>
        <source>stocks in use whose colours hardly differ, what the lesser ones carry, sheets saved as one</source>
        <translation>genutzte Materialien, deren Farben sich kaum unterscheiden, was die geringeren tragen, gesparte Bögen als eines</translation>
    </message>
    <message>
        <source>every text of findings, steps, shapes and presets, for those who translate them</source>
        <translation>jeder Text von Befunden, Schritten, Formen und Vorgaben, für die, die sie übersetzen</translation>
    </message>
    <message>
        <source>the ids and names of the tools in the rack</source>
        <translation>die Kennungen und Namen der Werkzeuge am Bord</translation>
    </message>
    <message>
        <source>the ids and names of the stocks</source>
        <translation>die Kennungen und Namen der Materialien</translation>
    </message>
    <message>
        <source>it was stopped while it was read</source>
        <translation>das Lesen wurde abgebrochen</translation>
    </message>
    <message>
        <source>[{piece}: ]What clip paths hide did not come in[; {cut|n:line was:lines were} cut to what is seen][; {away|n:line was:lines were} left out whole].</source>
        <translation>[{piece}: ]Was Ausschneidepfade verbergen, kam nicht herein[; {cut|n:Linie wurde:Linien wurden} auf das Sichtbare gekürzt][; {away|n:Linie wurde:Linien wurden} ganz weggelassen].</translation>
    </message>
</context>
<context>
    <name>dotlane::ActionFinder</name>
    <message>
        <source>Find an action</source>
        <translation>Eine Aktion finden</translation>
    </message>
    <message>
        <source>No action has these words</source>
        <translation>Keine Aktion hat diese Wörter</translation>
    </message>
</context>
<context>
    <name>dotlane::AdviceLine</name>
    <message>
        <source>Set it</source>
        <translation>Einstellen</translation>
    </message>
    <message>
        <source>&lt;span style=&apos;color:%1&apos;&gt;━&lt;/span&gt; cuts through &amp;nbsp; &lt;span style=&apos;color:%2&apos;&gt;╍&lt;/span&gt; cuts the mat, by force; below: your passes</source>
        <translation>&lt;span style=&apos;color:%1&apos;&gt;━&lt;/span&gt; schneidet durch &amp;nbsp; &lt;span style=&apos;color:%2&apos;&gt;╍&lt;/span&gt; schneidet die Matte, je nach Kraft; darunter: Ihre Durchgänge</translation>
    </message>
    <message>
        <source>From the shelf: nobody has said yet how a pass like this came out.</source>
        <translation>Vom Regal: Noch hat niemand gesagt, wie ein solcher Durchgang wurde.</translation>
    </message>
    <message>
        <source>%1 gf</source>
        <translation>%1 gf</translation>
    </message>
    <message>
        <source>, mark %1</source>
        <translation>, Marke %1</translation>
    </message>
    <message>
        <source>, %1 times</source>
        <translation>, %1-mal</translation>
    </message>
    <message>
        <source>From %1 of yours: %2 comes out well with %3 %.</source>
        <translation>Aus %1 von Ihnen: %2 gelingt mit %3 %.</translation>
    </message>
    <message>
        <source>pass</source>
        <translation>Durchgang</translation>
    </message>
    <message>
        <source>passes</source>
        <translation>Durchgängen</translation>
    </message>
    <message>
        <source>A test cut with %1 would tell most.</source>
        <translation>Ein Testschnitt mit %1 würde am meisten sagen.</translation>
    </message>
</context>
<context>
    <name>dotlane::AngleCurve</name>
    <message>
        <source>Coverage and time against the angle</source>
        <translation>Deckung und Zeit über dem Winkel</translation>
    </message>
    <message>
        <source>Click to turn the strokes to an angle</source>
        <translation>Klicken, um die Striche auf einen Winkel zu drehen</translation>
    </message>
    <message>
        <source>at %1°</source>
        <translation>bei %1°</translation>
    </message>
    <message>
        <source>now, about %1°</source>
        <translation>jetzt, etwa %1°</translation>
    </message>
    <message>
        <source>— %1 covered</source>
        <translation>— %1 gedeckt</translation>
    </message>
    <message>
        <source>- - %1</source>
        <translation>- - %1</translation>
    </message>
    <message>
        <source>%1 empty</source>
        <translation>%1 leer</translation>
    </message>
    <message>
        <source>shape</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>shapes</source>
        <translation>Formen</translation>
    </message>
    <message>
        <source>lift</source>
        <translation>Abheben</translation>
    </message>
    <message>
        <source>lifts</source>
        <translation>Abheben</translation>
    </message>
</context>
<context>
    <name>dotlane::Application</name>
    <message>
        <source>there is not enough memory</source>
        <translation>Der Arbeitsspeicher reicht nicht</translation>
    </message>
</context>
<context>
    <name>dotlane::BatchCard</name>
    <message>
        <source>sheets</source>
        <translation>Bögen</translation>
    </message>
    <message>
        <source>left of them</source>
        <translation>davon bleiben</translation>
    </message>
    <message>
        <source>wear of tools</source>
        <translation>Verschleiß der Werkzeuge</translation>
    </message>
    <message>
        <source>work</source>
        <translation>Arbeit</translation>
    </message>
    <message>
        <source>sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>, to buy</source>
        <translation>, zu kaufen</translation>
    </message>
    <message>
        <source>, %1 to buy</source>
        <translation>, %1 zu kaufen</translation>
    </message>
    <message>
        <source>, all on the shelf</source>
        <translation>, alles im Regal</translation>
    </message>
    <message>
        <source> for %1</source>
        <translation> für %1</translation>
    </message>
    <message>
        <source>A batch</source>
        <translation>Eine Serie</translation>
    </message>
    <message>
        <source>How many of everything the batch has</source>
        <translation>Wie viele von allem die Serie hat</translation>
    </message>
    <message>
        <source>×</source>
        <translation>×</translation>
    </message>
    <message>
        <source>made</source>
        <translation>hergestellt</translation>
    </message>
    <message>
        <source>What it takes and costs</source>
        <translation>Was sie braucht und kostet</translation>
    </message>
    <message>
        <source>Packs them onto what is on the shelf, and onto as many more sheets of it as that takes</source>
        <translation>Packt sie auf das, was im Regal liegt, und auf so viele Bögen davon mehr, wie es braucht</translation>
    </message>
    <message>
        <source>Stop packing</source>
        <translation>Packen anhalten</translation>
    </message>
    <message>
        <source>%1: %2 from the shelf</source>
        <translation>%1: %2 aus dem Regal</translation>
    </message>
    <message>
        <source>scrap</source>
        <translation>Rest</translation>
    </message>
    <message>
        <source>scraps</source>
        <translation>Reste</translation>
    </message>
    <message>
        <source>%1 on no sheet there is.</source>
        <translation>%1 auf keinen Bogen, den es gibt.</translation>
    </message>
    <message>
        <source>part fits</source>
        <translation>Teil passt</translation>
    </message>
    <message>
        <source>parts fit</source>
        <translation>Teile passen</translation>
    </message>
    <message>
        <source>There is nothing to cut.</source>
        <translation>Es gibt nichts zu schneiden.</translation>
    </message>
    <message>
        <source>It takes %1, hands and all.</source>
        <translation>Es dauert %1, mit allen Handgriffen.</translation>
    </message>
    <message>
        <source>Sheets without a price are not in the cost; it is said with them on the shelf.</source>
        <translation>Bögen ohne Preis fehlen in den Kosten; er wird im Regal bei ihnen angegeben.</translation>
    </message>
    <message>
        <source>Once more</source>
        <translation>Noch einmal</translation>
    </message>
    <message>
        <source>in all</source>
        <translation>insgesamt</translation>
    </message>
    <message>
        <source>apiece</source>
        <translation>je Stück</translation>
    </message>
    <message>
        <source>together</source>
        <translation>zusammen</translation>
    </message>
</context>
<context>
    <name>dotlane::Bench</name>
    <message>
        <source>Mat, sheets and pieces at true scale. Arrow keys move the selected pieces.</source>
        <translation>Matte, Bögen und Stücke in wahrer Größe. Pfeiltasten verschieben die gewählten Stücke.</translation>
    </message>
    <message>
        <source>Zoom out</source>
        <translation>Verkleinern</translation>
    </message>
    <message>
        <source>Zoom to fit</source>
        <translation>Alles zeigen</translation>
    </message>
    <message>
        <source>Zoom in</source>
        <translation>Vergrößern</translation>
    </message>
    <message>
        <source>Show the next mat load</source>
        <translation>Die nächste Mattenladung zeigen</translation>
    </message>
    <message>
        <source>All layers stacked</source>
        <translation>Alle Lagen übereinander</translation>
    </message>
    <message>
        <source>Mat load %1 of %2</source>
        <translation>Mattenladung %1 von %2</translation>
    </message>
    <message>
        <source>touches  ·  T: encloses</source>
        <translation>berührt  ·  T: umschließt</translation>
    </message>
    <message>
        <source>encloses  ·  T: touches</source>
        <translation>umschließt  ·  T: berührt</translation>
    </message>
    <message>
        <source>Click a contour to leave it out, with Shift to keep it alone. Esc ends.</source>
        <translation>Eine Kontur anklicken, um sie wegzulassen, mit Umschalt, um nur sie zu behalten. Esc beendet.</translation>
    </message>
    <message>
        <source>only what it encloses</source>
        <translation>nur was sie umschließt</translation>
    </message>
    <message>
        <source>what it touches, too</source>
        <translation>auch was sie berührt</translation>
    </message>
    <message>
        <source>Click where a seam is to run the shortest way across, a seam to take it away. Esc ends.</source>
        <translation>Klicken, wo eine Naht auf kürzestem Weg hindurch laufen soll; eine Naht anklicken, um sie wegzunehmen. Esc beendet.</translation>
    </message>
    <message>
        <source>Click an opening to set a bridge across it, a bridge to take it away. Esc ends.</source>
        <translation>Eine Öffnung anklicken, um einen Steg hindurchzusetzen; einen Steg, um ihn wegzunehmen. Esc beendet.</translation>
    </message>
    <message>
        <source>Move</source>
        <translation>Verschieben</translation>
    </message>
    <message>
        <source>Turn</source>
        <translation>Drehen</translation>
    </message>
    <message>
        <source>Slant</source>
        <translation>Schrägstellen</translation>
    </message>
    <message>
        <source>Mirror</source>
        <translation>Spiegeln</translation>
    </message>
    <message>
        <source>Take a guide away</source>
        <translation>Eine Hilfslinie wegnehmen</translation>
    </message>
    <message>
        <source>Move a guide</source>
        <translation>Eine Hilfslinie verschieben</translation>
    </message>
    <message>
        <source>Pull a guide</source>
        <translation>Eine Hilfslinie ziehen</translation>
    </message>
    <message>
        <source>Keep a contour alone</source>
        <translation>Nur eine Kontur behalten</translation>
    </message>
    <message>
        <source>Drop a contour</source>
        <translation>Eine Kontur weglassen</translation>
    </message>
    <message>
        <source>Set or take away a seam</source>
        <translation>Eine Naht setzen oder wegnehmen</translation>
    </message>
    <message>
        <source>Set or take away a bridge</source>
        <translation>Einen Steg setzen oder wegnehmen</translation>
    </message>
    <message>
        <source>Drag a guide from here onto the bench</source>
        <translation>Von hier eine Hilfslinie auf den Werktisch ziehen</translation>
    </message>
    <message>
        <source>A guide. Drag it; back on the ruler it is gone.</source>
        <translation>Eine Hilfslinie. Sie lässt sich ziehen; zurück auf dem Lineal ist sie fort.</translation>
    </message>
    <message>
        <source>. Drag to turn it about its other end.</source>
        <translation>. Ziehen, um es um sein anderes Ende zu drehen.</translation>
    </message>
    <message>
        <source>, pinned. Drag it; a click lets it go.</source>
        <translation>, festgesteckt. Ziehen; ein Klick löst es.</translation>
    </message>
    <message>
        <source>. Drag it, or click to pin it: it then stays when divided anew.</source>
        <translation>. Ziehen, oder klicken, um es festzustecken: Dann bleibt es, wenn neu geteilt wird.</translation>
    </message>
    <message>
        <source>, set by hand. Drag it; a click lets it go.</source>
        <translation>, von Hand gesetzt. Ziehen; ein Klick löst es.</translation>
    </message>
    <message>
        <source>. Drag it along, or click to set it here.</source>
        <translation>. Entlangziehen, oder klicken, um es hier zu setzen.</translation>
    </message>
    <message>
        <source>Change a step</source>
        <translation>Einen Schritt ändern</translation>
    </message>
    <message>
        <source>Let a seam go</source>
        <translation>Eine Naht lösen</translation>
    </message>
    <message>
        <source>Pin a seam</source>
        <translation>Eine Naht feststecken</translation>
    </message>
    <message>
        <source>Let a bridge go</source>
        <translation>Einen Steg lösen</translation>
    </message>
    <message>
        <source>Set a bridge</source>
        <translation>Einen Steg setzen</translation>
    </message>
    <message>
        <source>Nudge</source>
        <translation>Anstupsen</translation>
    </message>
    <message>
        <source>Take a node out</source>
        <translation>Einen Knoten herausnehmen</translation>
    </message>
    <message>
        <source>Move a node</source>
        <translation>Einen Knoten verschieben</translation>
    </message>
    <message>
        <source>Make a corner</source>
        <translation>Eine Ecke daraus machen</translation>
    </message>
    <message>
        <source>Make it smooth</source>
        <translation>Glätten</translation>
    </message>
    <message>
        <source>Add a node</source>
        <translation>Einen Knoten hinzufügen</translation>
    </message>
    <message>
        <source>Erase</source>
        <translation>Radieren</translation>
    </message>
    <message>
        <source>Cut in two</source>
        <translation>Entzweischneiden</translation>
    </message>
    <message>
        <source>Fold</source>
        <translation>Falz</translation>
    </message>
    <message>
        <source>Line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>Draw a fold</source>
        <translation>Einen Falz zeichnen</translation>
    </message>
    <message>
        <source>Draw a line</source>
        <translation>Eine Linie zeichnen</translation>
    </message>
    <message>
        <source>nothing is chosen</source>
        <translation>nichts ist gewählt</translation>
    </message>
    <message>
        <source>%1 chosen</source>
        <translation>%1 gewählt</translation>
    </message>
    <message>
        <source>Bench: %1</source>
        <translation>Werktisch: %1</translation>
    </message>
</context>
<context>
    <name>dotlane::BoltCard</name>
    <message>
        <source>By the bolt</source>
        <translation>Vom Ballen</translation>
    </message>
    <message>
        <source>fabric is wide</source>
        <translation>Stoff ist breit</translation>
    </message>
    <message>
        <source>Width of the bolt</source>
        <translation>Breite des Ballens</translation>
    </message>
    <message>
        <source>web is wide</source>
        <translation>Vlies ist breit</translation>
    </message>
    <message>
        <source>Width of the fusible web</source>
        <translation>Breite des Haftvlieses</translation>
    </message>
    <message>
        <source>made</source>
        <translation>hergestellt</translation>
    </message>
    <message>
        <source>How many are made</source>
        <translation>Wie viele gemacht werden</translation>
    </message>
    <message>
        <source>×</source>
        <translation>×</translation>
    </message>
    <message>
        <source>layers cut at once</source>
        <translation>Lagen auf einmal</translation>
    </message>
    <message>
        <source>Layers cut at once</source>
        <translation>Lagen, die auf einmal geschnitten werden</translation>
    </message>
    <message>
        <source>How much to buy</source>
        <translation>Wie viel zu kaufen ist</translation>
    </message>
    <message>
        <source>Packs everything onto a length of each stock, with its grain along the bolt</source>
        <translation>Packt alles auf eine Länge jedes Materials, mit dem Fadenlauf längs des Ballens</translation>
    </message>
    <message>
        <source>Packing…</source>
        <translation>Es wird gepackt…</translation>
    </message>
    <message>
        <source>%1: %2 long</source>
        <translation>%1: %2 lang</translation>
    </message>
    <message>
        <source>part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>parts</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source> in %1</source>
        <translation> in %1</translation>
    </message>
    <message>
        <source>cut</source>
        <translation>schneiden</translation>
    </message>
    <message>
        <source>cuts</source>
        <translation>Schnitten</translation>
    </message>
    <message>
        <source>, %1 % used</source>
        <translation>, zu %1 % genutzt</translation>
    </message>
    <message>
        <source>; %1 too wide</source>
        <translation>; %1 zu breit</translation>
    </message>
    <message>
        <source>part is</source>
        <translation>Teil ist</translation>
    </message>
    <message>
        <source>parts are</source>
        <translation>Teile sind</translation>
    </message>
    <message>
        <source>Fusible web for %1</source>
        <translation>Haftvlies für %1</translation>
    </message>
    <message>
        <source>There are no parts.</source>
        <translation>Es gibt keine Teile.</translation>
    </message>
    <message>
        <source>Stop packing</source>
        <translation>Packen anhalten</translation>
    </message>
</context>
<context>
    <name>dotlane::CalibrateWindow</name>
    <message>
        <source>Calibration sheets</source>
        <translation>Kalibrierbögen</translation>
    </message>
    <message>
        <source>Tool that is looked at</source>
        <translation>Werkzeug, das angesehen wird</translation>
    </message>
    <message>
        <source>Stock that it is made on</source>
        <translation>Material, auf dem er gemacht wird</translation>
    </message>
    <message>
        <source>tool</source>
        <translation>Werkzeug</translation>
    </message>
    <message>
        <source>stock</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>Open the sheet as a project</source>
        <translation>Den Bogen als Projekt öffnen</translation>
    </message>
    <message>
        <source>What you read on it</source>
        <translation>Was Sie darauf ablesen</translation>
    </message>
    <message>
        <source>Close it</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Take it over</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>tip of</source>
        <translation>Spitze von</translation>
    </message>
    <message>
        <source>As the rack has it: %1 right of the middle, %2 below it.</source>
        <translation>Wie das Werkzeugbord sie hat: %1 rechts der Mitte, %2 darunter.</translation>
    </message>
    <message>
        <source>As the rack has it: %1.</source>
        <translation>Wie das Werkzeugbord es hat: %1.</translation>
    </message>
    <message>
        <source>As the rack has it: %1 m.</source>
        <translation>Wie das Werkzeugbord es hat: %1 m.</translation>
    </message>
    <message>
        <source>The rack does not know how far it goes.</source>
        <translation>Das Werkzeugbord weiß nicht, wie weit es reicht.</translation>
    </message>
    <message>
        <source>As the stock has it: %1 gf, mark %2.</source>
        <translation>Wie das Material es hat: %1 gf, Marke %2.</translation>
    </message>
    <message>
        <source>As the machine has it: %1 % across, %2 % up.</source>
        <translation>Wie die Maschine es hat: %1 % quer, %2 % hinauf.</translation>
    </message>
    <message>
        <source>As the machine has it: %1 right of its place, %2 below it.</source>
        <translation>Wie die Maschine es hat: %1 rechts von seiner Stelle, %2 darunter.</translation>
    </message>
    <message>
        <source>As the machine has it: %1.</source>
        <translation>Wie die Maschine es hat: %1.</translation>
    </message>
    <message>
        <source>not read</source>
        <translation>nicht abgelesen</translation>
    </message>
    <message>
        <source>Take over what was read</source>
        <translation>Übernehmen, was abgelesen wurde</translation>
    </message>
    <message>
        <source>Taken over.</source>
        <translation>Übernommen.</translation>
    </message>
</context>
<context>
    <name>dotlane::CameOutCard</name>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>all of it</source>
        <translation>alles davon</translation>
    </message>
    <message>
        <source>%1 %2, %3</source>
        <translation>%1 %2, %3</translation>
    </message>
    <message>
        <source>weeding</source>
        <translation>Entgittern</translation>
    </message>
    <message>
        <source>easy</source>
        <translation>leicht</translation>
    </message>
    <message>
        <source>hard</source>
        <translation>schwer</translation>
    </message>
    <message>
        <source>Photo…</source>
        <translation>Foto…</translation>
    </message>
    <message>
        <source>Keeps shrunk copies of photographs with the run</source>
        <translation>Bewahrt verkleinerte Kopien von Fotos beim Lauf auf</translation>
    </message>
    <message>
        <source>Photographs of what came out</source>
        <translation>Fotos von dem, was daraus wurde</translation>
    </message>
    <message>
        <source>Pictures (*.png *.jpg *.jpeg *.bmp)</source>
        <translation>Bilder (*.png *.jpg *.jpeg *.bmp)</translation>
    </message>
    <message>
        <source>A note on the run</source>
        <translation>Eine Notiz zum Lauf</translation>
    </message>
    <message>
        <source>a note</source>
        <translation>eine Notiz</translation>
    </message>
</context>
<context>
    <name>dotlane::CopyActions</name>
    <message>
        <source>Duplicate the piece</source>
        <translation>Das Stück verdoppeln</translation>
    </message>
    <message>
        <source>Duplicate</source>
        <translation>Verdoppeln</translation>
    </message>
    <message>
        <source>Duplicate the piece in place</source>
        <translation>Das Stück an derselben Stelle verdoppeln</translation>
    </message>
    <message>
        <source>Duplicate in place</source>
        <translation>An derselben Stelle verdoppeln</translation>
    </message>
    <message>
        <source>Copy once more, as far, turned and sized as the last copy</source>
        <translation>Noch einmal kopieren, so weit, gedreht und groß wie die letzte Kopie</translation>
    </message>
    <message>
        <source>Copy what is selected</source>
        <translation>Kopieren, was gewählt ist</translation>
    </message>
    <message>
        <source>Cut what is selected out, to paste it</source>
        <translation>Ausschneiden, was gewählt ist, um es einzufügen</translation>
    </message>
    <message>
        <source>Paste</source>
        <translation>Einfügen</translation>
    </message>
    <message>
        <source>Paste where it was</source>
        <translation>Einfügen, wo es war</translation>
    </message>
    <message>
        <source>The project was changed meanwhile; it is copied, and nothing was removed.</source>
        <translation>Das Projekt wurde inzwischen geändert; es ist kopiert, und nichts wurde entfernt.</translation>
    </message>
    <message>
        <source>There is nothing to paste: neither pieces nor a drawing, a picture or words.</source>
        <translation>Es gibt nichts einzufügen: weder Stücke noch eine Zeichnung, ein Bild oder Wörter.</translation>
    </message>
    <message>
        <source>The picture on the clipboard cannot be read.</source>
        <translation>Das Bild in der Zwischenablage ist nicht lesbar.</translation>
    </message>
    <message>
        <source>Pasted picture</source>
        <translation>Eingefügtes Bild</translation>
    </message>
    <message>
        <source>That is too long to be lettered: %1</source>
        <translation>Das ist zu lang für einen Schriftzug: %1</translation>
    </message>
    <message>
        <source>Paste words</source>
        <translation>Wörter einfügen</translation>
    </message>
    <message>
        <source>Pasted drawing</source>
        <translation>Eingefügte Zeichnung</translation>
    </message>
    <message>
        <source>Paste a drawing</source>
        <translation>Eine Zeichnung einfügen</translation>
    </message>
    <message>
        <source>Duplicate something first, and move, turn or size the copy.</source>
        <translation>Erst etwas verdoppeln und die Kopie verschieben, drehen oder in der Größe ändern.</translation>
    </message>
    <message>
        <source>The project was changed meanwhile; it is as you left it. Do that again.</source>
        <translation>Das Projekt wurde inzwischen geändert; es ist, wie Sie es verlassen haben. Bitte noch einmal.</translation>
    </message>
    <message>
        <source>The last copy is gone; duplicate something first.</source>
        <translation>Die letzte Kopie ist fort; erst etwas verdoppeln.</translation>
    </message>
    <message>
        <source>Copy once more</source>
        <translation>Noch einmal kopieren</translation>
    </message>
</context>
<context>
    <name>dotlane::CropFrame</name>
    <message>
        <source>Part of the picture that is traced</source>
        <translation>Teil des Bildes, der nachgezeichnet wird</translation>
    </message>
    <message>
        <source>Drag a side or a corner to leave out what lies outside. Arrow keys move the frame, with Shift its right and lower side. A click takes the colour there, or leaves it out again.</source>
        <translation>Ziehe eine Seite oder Ecke, um wegzulassen, was außerhalb liegt. Pfeiltasten verschieben den Rahmen, mit Umschalt seine rechte und untere Seite. Ein Klick nimmt die Farbe dort auf oder lässt sie wieder weg.</translation>
    </message>
</context>
<context>
    <name>dotlane::CutterChoice</name>
    <message>
        <source>Which cutter the job goes to</source>
        <translation>An welchen Schneider der Auftrag geht</translation>
    </message>
    <message>
        <source>on the simulated cutter</source>
        <translation>auf dem simulierten Schneider</translation>
    </message>
    <message>
        <source>on a cutter that takes HPGL, at a port</source>
        <translation>auf einem Schneider für HPGL, an einem Anschluss</translation>
    </message>
    <message>
        <source>into a file</source>
        <translation>in eine Datei</translation>
    </message>
    <message>
        <source>port</source>
        <translation>Anschluss</translation>
    </message>
    <message>
        <source>%1 baud</source>
        <translation>%1 Baud</translation>
    </message>
    <message>
        <source>speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>flow control</source>
        <translation>Flusskontrolle</translation>
    </message>
    <message>
        <source>it answers where its head is (OA)</source>
        <translation>er sagt, wo sein Kopf steht (OA)</translation>
    </message>
    <message>
        <source>Then a run that is broken off goes on at the exact stroke. Else nobody but you knows how far it came</source>
        <translation>Dann geht ein abgebrochener Lauf beim genauen Strich weiter. Sonst wissen nur Sie, wie weit er kam</translation>
    </message>
    <message>
        <source>Write the job</source>
        <translation>Den Auftrag schreiben</translation>
    </message>
    <message>
        <source>HPGL (*.hpgl *.plt)</source>
        <translation>HPGL (*.hpgl *.plt)</translation>
    </message>
</context>
<context>
    <name>dotlane::ExerciseCard</name>
    <message>
        <source>Exercise %1 of %2</source>
        <translation>Übung %1 von %2</translation>
    </message>
    <message>
        <source>Passed: this is what was wanted.</source>
        <translation>Bestanden: Das war gewollt.</translation>
    </message>
    <message>
        <source>Not yet:</source>
        <translation>Noch nicht:</translation>
    </message>
    <message>
        <source>The next one</source>
        <translation>Die nächste</translation>
    </message>
    <message>
        <source>A hint</source>
        <translation>Ein Tipp</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Verlassen</translation>
    </message>
</context>
<context>
    <name>dotlane::ExerciseList</name>
    <message>
        <source>Exercises on the simulated cutter</source>
        <translation>Übungen auf dem simulierten Schneider</translation>
    </message>
    <message>
        <source>Each is a job with something wrong in it. Look at it, run it, look what came of it; find the cause, mend it and run it again. Nothing real is spoiled. %1 of %2 passed.</source>
        <translation>Jede ist ein Auftrag mit einem Fehler darin. Ansehen, laufen lassen, ansehen, was daraus wurde; die Ursache finden, beheben und noch einmal laufen lassen. Nichts Wirkliches wird verdorben. %1 von %2 bestanden.</translation>
    </message>
    <message>
        <source>To begin with</source>
        <translation>Zum Anfang</translation>
    </message>
    <message>
        <source>Which way round, which first, what hands do</source>
        <translation>Wie herum, was zuerst, was Hände tun</translation>
    </message>
    <message>
        <source>Tools and machines as they are</source>
        <translation>Werkzeuge und Maschinen, wie sie sind</translation>
    </message>
    <message>
        <source>%1. %2</source>
        <translation>%1. %2</translation>
    </message>
    <message>
        <source>   ✓ passed</source>
        <translation>   ✓ bestanden</translation>
    </message>
    <message>
        <source>Do it again</source>
        <translation>Noch einmal machen</translation>
    </message>
    <message>
        <source>Begin</source>
        <translation>Beginnen</translation>
    </message>
    <message>
        <source>Begin %1</source>
        <translation>%1 beginnen</translation>
    </message>
    <message>
        <source>Close it</source>
        <translation>Schließen</translation>
    </message>
</context>
<context>
    <name>dotlane::FaceChooser</name>
    <message>
        <source>Typeface</source>
        <translation>Schrift</translation>
    </message>
    <message>
        <source>Search typefaces</source>
        <translation>Schriften suchen</translation>
    </message>
    <message>
        <source>Favourites</source>
        <translation>Favoriten</translation>
    </message>
    <message>
        <source>One stroke</source>
        <translation>Ein Strich</translation>
    </message>
    <message>
        <source>Typefaces</source>
        <translation>Schriften</translation>
    </message>
    <message>
        <source>Lantern &amp; 1894</source>
        <translation>Laterne &amp; 1894</translation>
    </message>
    <message>
        <source>A star keeps a typeface among the favourites (F).</source>
        <translation>Ein Stern hält eine Schrift unter den Favoriten (F).</translation>
    </message>
    <message>
        <source>Use it</source>
        <translation>Nehmen</translation>
    </message>
</context>
<context>
    <name>dotlane::FigureActions</name>
    <message>
        <source>How big may the figure be for its sheets?</source>
        <translation>Wie groß darf die Figur für ihre Bögen sein?</translation>
    </message>
    <message>
        <source>Divide what is larger than its sheet</source>
        <translation>Teilen, was größer ist als sein Bogen</translation>
    </message>
    <message>
        <source>Unite cards of nearly the same colour</source>
        <translation>Karton von fast gleicher Farbe vereinen</translation>
    </message>
    <message>
        <source>Save how it is put together: PDF…</source>
        <translation>Sichern, wie es zusammengesetzt wird: PDF…</translation>
    </message>
    <message>
        <source>Save the figure with its numbers at true scale: PDF…</source>
        <translation>Die Figur mit ihren Nummern in wahrer Größe sichern: PDF…</translation>
    </message>
    <message>
        <source>Save what is printed before it is cut: PDF…</source>
        <translation>Sichern, was vor dem Schneiden gedruckt wird: PDF…</translation>
    </message>
    <message>
        <source>Save the job sheet: PDF…</source>
        <translation>Das Arbeitsblatt sichern: PDF…</translation>
    </message>
    <message>
        <source>Save the job sheet</source>
        <translation>Das Arbeitsblatt sichern</translation>
    </message>
    <message>
        <source>, job sheet</source>
        <translation>, Arbeitsblatt</translation>
    </message>
    <message>
        <source>There is nothing to run: give lines a role and a tool.</source>
        <translation>Es gibt nichts laufen zu lassen: Linien brauchen eine Rolle und ein Werkzeug.</translation>
    </message>
    <message>
        <source>Save how it is put together</source>
        <translation>Sichern, wie es zusammengesetzt wird</translation>
    </message>
    <message>
        <source>, put together</source>
        <translation>, zusammengesetzt</translation>
    </message>
    <message>
        <source>There is no part that is cut out, and so nothing to put together.</source>
        <translation>Kein Teil wird ausgeschnitten, also ist nichts zusammenzusetzen.</translation>
    </message>
    <message>
        <source>Save the figure at true scale</source>
        <translation>Die Figur in wahrer Größe sichern</translation>
    </message>
    <message>
        <source>, true scale</source>
        <translation>, wahre Größe</translation>
    </message>
    <message>
        <source>Save what is printed</source>
        <translation>Sichern, was gedruckt wird</translation>
    </message>
    <message>
        <source>, to print</source>
        <translation>, zum Drucken</translation>
    </message>
    <message>
        <source>No sheet is printed first. Say which is, on its card at Sheets.</source>
        <translation>Kein Bogen wird zuerst gedruckt. Welcher es wird, steht auf seiner Karte bei Bögen.</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Saved %1: %2</source>
        <translation>%1 gesichert: %2</translation>
    </message>
    <message>
        <source>page</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>pages</source>
        <translation>Seiten</translation>
    </message>
    <message>
        <source>No two cards in use differ by less than 5 (CIEDE2000).</source>
        <translation>Keine zwei verwendeten Kartons unterscheiden sich um weniger als 5 (CIEDE2000).</translation>
    </message>
    <message>
        <source>%1 and %2 differ by %3 (CIEDE2000).</source>
        <translation>%1 und %2 unterscheiden sich um %3 (CIEDE2000).</translation>
    </message>
    <message>
        <source>As one they take %1 less.</source>
        <translation>Als einer brauchen sie %1 weniger.</translation>
    </message>
    <message>
        <source>sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>sheets</source>
        <translation>Bögen</translation>
    </message>
    <message>
        <source>As one they take as many sheets.</source>
        <translation>Als einer brauchen sie ebenso viele Bögen.</translation>
    </message>
    <message>
        <source>%1 carries %2, the smallest %3 cm² at %4, %5.</source>
        <translation>%1 trägt %2, das kleinste %3 cm² bei %4, %5.</translation>
    </message>
    <message>
        <source>part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>parts</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Unite them</source>
        <translation>Vereinen</translation>
    </message>
    <message>
        <source>The project was changed meanwhile; it is as you left it. Ask again.</source>
        <translation>Das Projekt wurde inzwischen geändert; es ist, wie Sie es verlassen haben. Bitte noch einmal fragen.</translation>
    </message>
    <message>
        <source>Unite cards</source>
        <translation>Kartons vereinen</translation>
    </message>
    <message>
        <source>Leave them</source>
        <translation>So lassen</translation>
    </message>
    <message>
        <source>Every part fits a sheet as it is.</source>
        <translation>Jedes Teil passt auf einen Bogen, wie es ist.</translation>
    </message>
    <message>
        <source>%1 cannot be divided into tiles that fit its sheet. Take a larger sheet, or unpin its seams.</source>
        <translation>%1 lässt sich nicht in Kacheln teilen, die auf seinen Bogen passen. Einen größeren Bogen nehmen oder Nähte lösen.</translation>
    </message>
    <message>
        <source>%1 in %2, with %3 of %4, %5 in sight.</source>
        <translation>%1 in %2, mit %3 von %4, davon %5 sichtbar.</translation>
    </message>
    <message>
        <source>tile</source>
        <translation>Kachel</translation>
    </message>
    <message>
        <source>tiles</source>
        <translation>Kacheln</translation>
    </message>
    <message>
        <source>seam</source>
        <translation>Naht</translation>
    </message>
    <message>
        <source>seams</source>
        <translation>Nähte</translation>
    </message>
    <message>
        <source>So %1.</source>
        <translation>%1 ebenso.</translation>
    </message>
    <message>
        <source>more part was</source>
        <translation>weiteres Teil</translation>
    </message>
    <message>
        <source>more parts were</source>
        <translation>weitere Teile</translation>
    </message>
    <message>
        <source>Trimmed under what lies on it, it would need no seam.</source>
        <translation>Unter dem beschnitten, was darauf liegt, bräuchte es keine Naht.</translation>
    </message>
    <message>
        <source>Pack the parts</source>
        <translation>Die Teile packen</translation>
    </message>
    <message>
        <source>There is no part yet whose size could be asked for.</source>
        <translation>Noch gibt es kein Teil, nach dessen Größe zu fragen wäre.</translation>
    </message>
    <message>
        <source>At most %1 of its size today: %2 %3. %4 stops it.</source>
        <translation>Höchstens %1 der heutigen Größe: %2 %3. %4 begrenzt sie.</translation>
    </message>
    <message>
        <source>Size it so</source>
        <translation>So groß machen</translation>
    </message>
    <message>
        <source>Sizes and sheets</source>
        <translation>Größen und Bögen</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Verlassen</translation>
    </message>
    <message>
        <source>Trim under</source>
        <translation>Darunter beschneiden</translation>
    </message>
    <message>
        <source>The parts lie where they lay when they had another size.</source>
        <translation>Die Teile liegen, wo sie lagen, als sie eine andere Größe hatten.</translation>
    </message>
</context>
<context>
    <name>dotlane::FigureView</name>
    <message>
        <source>The figure</source>
        <translation>Die Figur</translation>
    </message>
    <message>
        <source>waits</source>
        <translation>wartet</translation>
    </message>
    <message>
        <source>sheet %1</source>
        <translation>Bogen %1</translation>
    </message>
</context>
<context>
    <name>dotlane::FileLink</name>
    <message>
        <source>%1 cannot be written: %2</source>
        <translation>%1 lässt sich nicht schreiben: %2</translation>
    </message>
</context>
<context>
    <name>dotlane::FillDial</name>
    <message>
        <source>Angle and spacing of the strokes</source>
        <translation>Winkel und Abstand der Striche</translation>
    </message>
    <message>
        <source>Drag the rim to turn the strokes (Shift: by 5°), the middle up or down to spread them</source>
        <translation>Am Rand ziehen, um die Striche zu drehen (Umschalt: um 5°), in der Mitte auf oder ab, um sie weiter zu stellen</translation>
    </message>
</context>
<context>
    <name>dotlane::FillPanel</name>
    <message>
        <source>covered</source>
        <translation>gedeckt</translation>
    </message>
    <message>
        <source>time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>lifts</source>
        <translation>Abheben</translation>
    </message>
    <message>
        <source>length</source>
        <translation>Länge</translation>
    </message>
    <message>
        <source>gap</source>
        <translation>Lücke</translation>
    </message>
    <message>
        <source>The largest round spot that stays bare</source>
        <translation>Der größte runde Fleck, der frei bleibt</translation>
    </message>
    <message>
        <source>What the best angle is judged by</source>
        <translation>Wonach der beste Winkel beurteilt wird</translation>
    </message>
    <message>
        <source>fastest</source>
        <translation>am schnellsten</translation>
    </message>
    <message>
        <source>fewest lifts</source>
        <translation>am wenigsten Abheben</translation>
    </message>
    <message>
        <source>thin parts</source>
        <translation>schmale Teile</translation>
    </message>
    <message>
        <source>Turn to the best</source>
        <translation>Auf den besten drehen</translation>
    </message>
    <message>
        <source>The angle that leaves no shape empty, reaches the coverage wanted and is best by this measure</source>
        <translation>Der Winkel, der keine Form leer lässt, die gewünschte Deckung erreicht und nach diesem Maß der beste ist</translation>
    </message>
    <message>
        <source>Widest spacing for</source>
        <translation>Weitester Abstand für</translation>
    </message>
    <message>
        <source>Coverage wanted</source>
        <translation>Gewünschte Deckung</translation>
    </message>
    <message>
        <source>Compare ways to go over it</source>
        <translation>Arten des Darübergehens vergleichen</translation>
    </message>
    <message>
        <source>Passes, repeats and denser strokes side by side: minutes, and what landing errors leave bare</source>
        <translation>Durchgänge, Wiederholungen und dichtere Striche nebeneinander: Minuten, und was Aufsetzfehler frei lassen</translation>
    </message>
    <message>
        <source>%1 mm² of ink beyond the edge; counted in cells of %2 mm</source>
        <translation>%1 mm² Tinte über den Rand hinaus; gezählt in Zellen von %2 mm</translation>
    </message>
    <message>
        <source>time %1×</source>
        <translation>Zeit %1×</translation>
    </message>
    <message>
        <source>very many strokes: “Turn to the best” tries every angle when asked</source>
        <translation>sehr viele Striche: „Auf den besten drehen“ probiert alle Winkel erst auf Wunsch</translation>
    </message>
    <message>
        <source>trying every angle…</source>
        <translation>alle Winkel werden probiert…</translation>
    </message>
    <message>
        <source>this pattern has no angle</source>
        <translation>dieses Muster hat keinen Winkel</translation>
    </message>
    <message>
        <source>This pattern has no angle to turn to.</source>
        <translation>Dieses Muster hat keinen Winkel, der zu drehen wäre.</translation>
    </message>
    <message>
        <source>No spacing covers %1 %: the inset keeps too much clear.</source>
        <translation>Kein Abstand deckt %1 %: Der Einzug hält zu viel frei.</translation>
    </message>
    <message>
        <source>Comparing…</source>
        <translation>Es wird verglichen…</translation>
    </message>
    <message>
        <source>landing off by %1 each lift</source>
        <translation>bei jedem Aufsetzen %1 daneben</translation>
    </message>
    <message>
        <source>%1  ·  %2 mm² bare</source>
        <translation>%1  ·  %2 mm² frei</translation>
    </message>
    <message>
        <source>Of %1 mm² that it covers when nothing is off; %2 mm² get ink twice instead</source>
        <translation>Von den %1 mm², die es deckt, wenn nichts daneben liegt; %2 mm² bekommen stattdessen zweimal Tinte</translation>
    </message>
    <message>
        <source>Use</source>
        <translation>Nehmen</translation>
    </message>
    <message>
        <source>Use: %1</source>
        <translation>Nehmen: %1</translation>
    </message>
    <message>
        <source>Fill: %1</source>
        <translation>Füllung: %1</translation>
    </message>
</context>
<context>
    <name>dotlane::ForceCurveView</name>
    <message>
        <source>With %1 gf it cuts through with %2 % and cuts the mat with %3 %</source>
        <translation>Mit %1 gf schneidet es zu %2 % durch und zu %3 % in die Matte</translation>
    </message>
    <message>
        <source>100 %</source>
        <translation>100 %</translation>
    </message>
    <message>
        <source>%1 gf</source>
        <translation>%1 gf</translation>
    </message>
    <message>
        <source>%1 gf: through with %2 %, into the mat with %3 %; click to set it</source>
        <translation>%1 gf: zu %2 % durch, zu %3 % in die Matte; klicken, um es einzustellen</translation>
    </message>
</context>
<context>
    <name>dotlane::GuideView</name>
    <message>
        <source>The figure as far as it has come</source>
        <translation>Die Figur, so weit sie gediehen ist</translation>
    </message>
    <message>
        <source>The sheet of the part that is looked for</source>
        <translation>Der Bogen des gesuchten Teils</translation>
    </message>
    <message>
        <source>Arrow keys go from part to part, Return says that it is in its place.</source>
        <translation>Pfeiltasten gehen von Teil zu Teil, Eingabe sagt, dass es an seinem Platz ist.</translation>
    </message>
    <message>
        <source>Nothing to put together</source>
        <translation>Nichts zusammenzusetzen</translation>
    </message>
    <message>
        <source>There is no part that is cut out.</source>
        <translation>Kein Teil wird ausgeschnitten.</translation>
    </message>
    <message>
        <source>%1 of %2 parts in place</source>
        <translation>%1 von %2 Teilen am Platz</translation>
    </message>
    <message>
        <source>in place</source>
        <translation>am Platz</translation>
    </message>
    <message>
        <source>not in place yet</source>
        <translation>noch nicht am Platz</translation>
    </message>
    <message>
        <source>nothing left on it</source>
        <translation>nichts mehr darauf</translation>
    </message>
    <message>
        <source>%1 still on it</source>
        <translation>%1 noch darauf</translation>
    </message>
    <message>
        <source>part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>parts</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>On no sheet yet</source>
        <translation>Noch auf keinem Bogen</translation>
    </message>
    <message>
        <source>Find a place for it at Sheets.</source>
        <translation>Bei Bögen einen Platz dafür finden.</translation>
    </message>
</context>
<context>
    <name>dotlane::HeldList</name>
    <message>
        <source>Fitted inside %1, margin</source>
        <translation>Eingepasst in %1, Rand</translation>
    </message>
    <message>
        <source>Let it go</source>
        <translation>Loslassen</translation>
    </message>
    <message>
        <source>Held</source>
        <translation>Gehalten</translation>
    </message>
    <message>
        <source>Distance to the right, held</source>
        <translation>Abstand nach rechts, gehalten</translation>
    </message>
    <message>
        <source>Distance downward, held</source>
        <translation>Abstand nach unten, gehalten</translation>
    </message>
    <message>
        <source>Change a held distance</source>
        <translation>Einen gehaltenen Abstand ändern</translation>
    </message>
    <message>
        <source>Let go</source>
        <translation>Loslassen</translation>
    </message>
    <message>
        <source>Margin that is kept</source>
        <translation>Rand, der bleibt</translation>
    </message>
    <message>
        <source>Change a margin</source>
        <translation>Einen Rand ändern</translation>
    </message>
</context>
<context>
    <name>dotlane::HelpDesk</name>
    <message>
        <source>Help on what has the keys</source>
        <translation>Hilfe zu dem, was die Tasten hat</translation>
    </message>
    <message>
        <source>A tour of the demo, in five steps</source>
        <translation>Ein Rundgang durch das Beispiel, in fünf Schritten</translation>
    </message>
    <message>
        <source>New here? The lighthouse card of the Harbour Lantern Fair shows the whole road in five steps.</source>
        <translation>Neu hier? Die Leuchtturmkarte vom Laternenfest am Hafen zeigt den ganzen Weg in fünf Schritten.</translation>
    </message>
    <message>
        <source>Show me</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>Not now</source>
        <translation>Jetzt nicht</translation>
    </message>
    <message>
        <source>These are the pieces of a card, the top layer first. Click one: its size, its steps and its lines show at the right, and the bench shows it at true size.</source>
        <translation>Das sind die Stücke einer Karte, die oberste Lage zuerst. Eins anklicken: Größe, Schritte und Linien erscheinen rechts, und der Werktisch zeigt es in wahrer Größe.</translation>
    </message>
    <message>
        <source>What is each line for? Its role says: cut, score, draw, foil… The tool follows from it. Roles are the first thing to look at in a drawing that came in.</source>
        <translation>Wofür ist jede Linie? Ihre Rolle sagt es: schneiden, rillen, zeichnen, folieren… Daraus folgt das Werkzeug. Bei einer hereingeholten Zeichnung sind Rollen das Erste, wonach zu sehen ist.</translation>
    </message>
    <message>
        <source>The plan: every pass along time, tools in their holders at the left. The ochre dots are pauses, when hands are needed. Drag a pass elsewhere, and it says what that costs.</source>
        <translation>Der Plan: jeder Durchgang über der Zeit, links die Werkzeuge in ihren Haltern. Die ockerfarbenen Punkte sind Pausen, in denen Hände gefragt sind. Einen Durchgang anderswohin ziehen, und er sagt, was das kostet.</translation>
    </message>
    <message>
        <source>Second look reads over your shoulder: gaps, doubled lines, parts too small, inks in the wrong order. Many of its findings are settled by a click.</source>
        <translation>Der Zweite Blick liest mit: Lücken, doppelte Linien, zu kleine Teile, Tinten in falscher Reihenfolge. Viele seiner Befunde klärt ein Klick.</translation>
    </message>
    <message>
        <source>Rehearse before any card is spoiled: the simulated cutter goes through the job, pauses and all. Try it now; nothing real moves.</source>
        <translation>Proben, bevor Karton verdorben wird: Der simulierte Schneider geht durch den Auftrag, samt Pausen. Jetzt versuchen; nichts Wirkliches bewegt sich.</translation>
    </message>
</context>
<context>
    <name>dotlane::HelpWindow</name>
    <message>
        <source>Help</source>
        <translation>Hilfe</translation>
    </message>
    <message>
        <source>Search all pages</source>
        <translation>Alle Seiten durchsuchen</translation>
    </message>
    <message>
        <source>Pages</source>
        <translation>Seiten</translation>
    </message>
    <message>
        <source>Page</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>No page has these words.</source>
        <translation>Keine Seite hat diese Wörter.</translation>
    </message>
</context>
<context>
    <name>dotlane::HoldersForm</name>
    <message>
        <source>Holders</source>
        <translation>Halter</translation>
    </message>
    <message>
        <source>Say what is in holder %1</source>
        <translation>Sagen, was in Halter %1 ist</translation>
    </message>
    <message>
        <source>Say what holder %1 takes</source>
        <translation>Sagen, was Halter %1 nimmt</translation>
    </message>
    <message>
        <source>In holder %1 now</source>
        <translation>Jetzt in Halter %1</translation>
    </message>
    <message>
        <source>What is in it already need not be put in</source>
        <translation>Was schon darin ist, muss nicht eingesetzt werden</translation>
    </message>
    <message>
        <source>nothing yet</source>
        <translation>noch nichts</translation>
    </message>
    <message>
        <source>Kinds of tool that holder %1 takes</source>
        <translation>Werkzeugarten, die Halter %1 nimmt</translation>
    </message>
    <message>
        <source>takes</source>
        <translation>nimmt</translation>
    </message>
    <message>
        <source>every kind of tool</source>
        <translation>jede Werkzeugart</translation>
    </message>
    <message>
        <source>%1 kinds of tool</source>
        <translation>%1 Werkzeugarten</translation>
    </message>
</context>
<context>
    <name>dotlane::JobRunner</name>
    <message>
        <source>The journal of the run cannot be begun: %1</source>
        <translation>Das Tagebuch des Laufs lässt sich nicht beginnen: %1</translation>
    </message>
    <message>
        <source>The cutter stands where no stroke under way would leave it. Look at the work, and say which stroke was the last one made.</source>
        <translation>Der Schneider steht, wo kein begonnener Strich ihn ließe. Das Werkstück ansehen und sagen, welcher Strich der letzte gemachte war.</translation>
    </message>
    <message>
        <source>It was cancelled before anything was sent.</source>
        <translation>Es wurde abgebrochen, bevor etwas gesendet war.</translation>
    </message>
</context>
<context>
    <name>dotlane::LandingPicture</name>
    <message>
        <source>The fill as it may fall</source>
        <translation>Die Füllung, wie sie fallen kann</translation>
    </message>
    <message>
        <source>One throw of the dice: every stroke a little off where the tool landed</source>
        <translation>Ein Wurf der Würfel: Jeder Strich liegt ein wenig daneben, wo das Werkzeug aufsetzte</translation>
    </message>
</context>
<context>
    <name>dotlane::Lanes</name>
    <message>
        <source>Lanes: the passes along time</source>
        <translation>Bahnen: die Durchgänge über der Zeit</translation>
    </message>
    <message>
        <source>Left and right move the play head, up and down pick a pass, Ctrl with left or right moves it earlier or later. H pins it, Enter opens its numbers; plus, minus and 0 zoom along time.</source>
        <translation>Links und rechts bewegen die Laufmarke, auf und ab wählen einen Durchgang, Strg mit links oder rechts zieht ihn vor oder zurück. H steckt ihn fest, Eingabe öffnet seine Zahlen; Plus, Minus und 0 ändern den Zeitmaßstab.</translation>
    </message>
    <message>
        <source>%1 repeats</source>
        <translation>%1 Wiederholungen</translation>
    </message>
    <message>
        <source>%1, %2: %3 gf, %4, %5</source>
        <translation>%1, %2: %3 gf, %4, %5</translation>
    </message>
    <message>
        <source>Reorder passes</source>
        <translation>Durchgänge umordnen</translation>
    </message>
    <message>
        <source>mat</source>
        <translation>Matte</translation>
    </message>
    <message>
        <source>mats</source>
        <translation>Matten</translation>
    </message>
    <message>
        <source>pause</source>
        <translation>Pause</translation>
    </message>
    <message>
        <source>pauses</source>
        <translation>Pausen</translation>
    </message>
    <message>
        <source>%1 after %2 would be tainted</source>
        <translation>%1 nach %2 würde verschmiert</translation>
    </message>
    <message>
        <source>%1 before %2</source>
        <translation>%1 vor %2</translation>
    </message>
    <message>
        <source>costs nothing</source>
        <translation>kostet nichts</translation>
    </message>
    <message>
        <source>Pin a pass</source>
        <translation>Einen Durchgang feststecken</translation>
    </message>
    <message>
        <source>Let go of a pinned pass</source>
        <translation>Einen festgesteckten Durchgang lösen</translation>
    </message>
    <message>
        <source>Lanes</source>
        <translation>Bahnen</translation>
    </message>
    <message>
        <source>The passes appear here, along time, as soon as lines have roles.</source>
        <translation>Die Durchgänge erscheinen hier über der Zeit, sobald Linien Rollen haben.</translation>
    </message>
    <message>
        <source>No line has a role that a tool carries out. Select lines and give them one.</source>
        <translation>Keine Linie hat eine Rolle, die ein Werkzeug ausführt. Linien wählen und ihnen eine geben.</translation>
    </message>
    <message>
        <source>pass</source>
        <translation>Durchgang</translation>
    </message>
    <message>
        <source>passes</source>
        <translation>Durchgänge</translation>
    </message>
    <message>
        <source>0 min</source>
        <translation>0 min</translation>
    </message>
    <message>
        <source>Lanes: pass %1 of %2, %3, %4</source>
        <translation>Bahnen: Durchgang %1 von %2, %3, %4</translation>
    </message>
</context>
<context>
    <name>dotlane::Ledger</name>
    <message>
        <source>Ledger</source>
        <translation>Verzeichnis</translation>
    </message>
    <message>
        <source>top layer first</source>
        <translation>oberste Lage zuerst</translation>
    </message>
    <message>
        <source>Find by name, role, colour, size</source>
        <translation>Finden nach Name, Rolle, Farbe, Größe</translation>
    </message>
    <message>
        <source>Find pieces in the ledger</source>
        <translation>Stücke im Verzeichnis finden</translation>
    </message>
    <message>
        <source>For instance: cliff, draw, teal, 87, 44x110</source>
        <translation>Zum Beispiel: Klippe, zeichnen, petrol, 87, 44x110</translation>
    </message>
    <message>
        <source>Ledger: pieces and their lines</source>
        <translation>Verzeichnis: Stücke und ihre Linien</translation>
    </message>
    <message>
        <source>Bring in</source>
        <translation>Holen</translation>
    </message>
    <message>
        <source>Words</source>
        <translation>Wörter</translation>
    </message>
    <message>
        <source>Shape</source>
        <translation>Form</translation>
    </message>
</context>
<context>
    <name>dotlane::LedgerModel</name>
    <message>
        <source>, hidden</source>
        <translation>, ausgeblendet</translation>
    </message>
    <message>
        <source>, locked</source>
        <translation>, gesperrt</translation>
    </message>
    <message>
        <source>, not this time</source>
        <translation>, diesmal nicht</translation>
    </message>
    <message>
        <source>Group %1, %2 pieces</source>
        <translation>Gruppe %1, %2 Stücke</translation>
    </message>
    <message>
        <source>%1, %2 with %3</source>
        <translation>%1, %2 mit %3</translation>
    </message>
    <message>
        <source>Rename</source>
        <translation>Umbenennen</translation>
    </message>
</context>
<context>
    <name>dotlane::LedgerTree</name>
    <message>
        <source>Hide</source>
        <translation>Ausblenden</translation>
    </message>
    <message>
        <source>Show</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>Unlock</source>
        <translation>Entsperren</translation>
    </message>
    <message>
        <source>Put elsewhere in the ledger</source>
        <translation>Im Verzeichnis umsetzen</translation>
    </message>
    <message>
        <source>Group</source>
        <translation>Gruppieren</translation>
    </message>
    <message>
        <source>Put into a group</source>
        <translation>In eine Gruppe setzen</translation>
    </message>
    <message>
        <source>Hide or show all of this stock</source>
        <translation>Alles aus diesem Material ausblenden oder zeigen</translation>
    </message>
    <message>
        <source>Hide or show all of this group. Hidden pieces are run all the same.</source>
        <translation>Alles in dieser Gruppe ausblenden oder zeigen. Ausgeblendete Stücke laufen trotzdem.</translation>
    </message>
    <message>
        <source>Lock all of this group, or unlock it</source>
        <translation>Alles in dieser Gruppe sperren oder entsperren</translation>
    </message>
    <message>
        <source>Hide or show it. Hidden pieces are run all the same.</source>
        <translation>Ausblenden oder zeigen. Ausgeblendete Stücke laufen trotzdem.</translation>
    </message>
    <message>
        <source>Lock it, or unlock: hands on the bench pass by what is locked</source>
        <translation>Sperren oder entsperren: Hände auf dem Werktisch gehen an Gesperrtem vorbei</translation>
    </message>
</context>
<context>
    <name>dotlane::LetterformPicker</name>
    <message>
        <source>Letterforms</source>
        <translation>Buchstabenformen</translation>
    </message>
    <message>
        <source>Group of letterforms</source>
        <translation>Gruppe von Buchstabenformen</translation>
    </message>
    <message>
        <source>A character, or a name</source>
        <translation>Ein Zeichen oder ein Name</translation>
    </message>
    <message>
        <source>Search letterforms</source>
        <translation>Buchstabenformen suchen</translation>
    </message>
    <message>
        <source>Its own form again</source>
        <translation>Wieder die eigene Form</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>For %1</source>
        <translation>Für %1</translation>
    </message>
    <message>
        <source>For the letter</source>
        <translation>Für den Buchstaben</translation>
    </message>
    <message>
        <source>being listed…</source>
        <translation>wird aufgelistet…</translation>
    </message>
    <message>
        <source>All</source>
        <translation>Alle</translation>
    </message>
    <message>
        <source>Letters</source>
        <translation>Buchstaben</translation>
    </message>
    <message>
        <source>Signs</source>
        <translation>Zeichen</translation>
    </message>
    <message>
        <source>Alternates</source>
        <translation>Varianten</translation>
    </message>
    <message>
        <source>Swashes</source>
        <translation>Zierformen</translation>
    </message>
    <message>
        <source>Ligatures</source>
        <translation>Ligaturen</translation>
    </message>
    <message>
        <source>Ornaments</source>
        <translation>Ornamente</translation>
    </message>
    <message>
        <source>Others</source>
        <translation>Andere</translation>
    </message>
    <message>
        <source>It has one form only; see All.</source>
        <translation>Es hat nur eine Form; siehe Alle.</translation>
    </message>
    <message>
        <source>form</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>forms</source>
        <translation>Formen</translation>
    </message>
</context>
<context>
    <name>dotlane::LetteringActions</name>
    <message>
        <source>New lettering</source>
        <translation>Neuer Schriftzug</translation>
    </message>
    <message>
        <source>Type in the lettering</source>
        <translation>Im Schriftzug schreiben</translation>
    </message>
    <message>
        <source>Choose the typeface…</source>
        <translation>Die Schrift wählen…</translation>
    </message>
    <message>
        <source>Letterforms: alternates, swashes, ornaments…</source>
        <translation>Buchstabenformen: Varianten, Zierformen, Ornamente…</translation>
    </message>
    <message>
        <source>Close up the letters so that words hold together</source>
        <translation>Die Buchstaben zusammenrücken, damit Wörter zusammenhalten</translation>
    </message>
    <message>
        <source>Change the typeface</source>
        <translation>Die Schrift ändern</translation>
    </message>
    <message>
        <source>Closing up…</source>
        <translation>Wird zusammengerückt…</translation>
    </message>
    <message>
        <source>Close up the letters</source>
        <translation>Die Buchstaben zusammenrücken</translation>
    </message>
    <message>
        <source>Every word holds together already.</source>
        <translation>Jedes Wort hält schon zusammen.</translation>
    </message>
    <message>
        <source>Closed up: every word holds together, and no counter is lost.</source>
        <translation>Zusammengerückt: Jedes Wort hält zusammen, und kein Innenraum ging verloren.</translation>
    </message>
</context>
<context>
    <name>dotlane::LineFigureLabel</name>
    <message>
        <source>measuring…</source>
        <translation>wird gemessen…</translation>
    </message>
    <message>
        <source>%1 long</source>
        <translation>%1 lang</translation>
    </message>
    <message>
        <source>encloses %1</source>
        <translation>umschließt %1</translation>
    </message>
    <message>
        <source>thinnest %1</source>
        <translation>am dünnsten %1</translation>
    </message>
</context>
<context>
    <name>dotlane::LogDesk</name>
    <message>
        <source>The logbook could not be read: %1</source>
        <translation>Das Logbuch war nicht lesbar: %1</translation>
    </message>
    <message>
        <source>%1. It was set aside as %2; a new one is begun.</source>
        <translation>%1. Es wurde als %2 beiseitegelegt; ein neues ist begonnen.</translation>
    </message>
    <message>
        <source>%1. It was set aside as %2, and the copy %3 is used.</source>
        <translation>%1. Es wurde als %2 beiseitegelegt, und die Kopie %3 wird benutzt.</translation>
    </message>
    <message>
        <source>Nothing is logged: %1</source>
        <translation>Es wird nichts aufgezeichnet: %1</translation>
    </message>
    <message>
        <source>The run is not logged: %1</source>
        <translation>Der Lauf ist nicht aufgezeichnet: %1</translation>
    </message>
    <message>
        <source>What you said of the run is not kept: %1</source>
        <translation>Was Sie vom Lauf sagten, ist nicht aufbewahrt: %1</translation>
    </message>
    <message>
        <source>%1 is no picture that can be read</source>
        <translation>%1 ist kein lesbares Bild</translation>
    </message>
    <message>
        <source>%1 could not be kept: %2 cannot be written</source>
        <translation>%1 ließ sich nicht aufbewahren: %2 ist nicht beschreibbar</translation>
    </message>
</context>
<context>
    <name>dotlane::LogLedger</name>
    <message>
        <source>Logbook</source>
        <translation>Logbuch</translation>
    </message>
    <message>
        <source>Season</source>
        <translation>Saison</translation>
    </message>
    <message>
        <source>What worked</source>
        <translation>Was gelang</translation>
    </message>
    <message>
        <source>Runs by %1</source>
        <translation>Läufe nach %1</translation>
    </message>
    <message>
        <source>stock</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>tool</source>
        <translation>Werkzeug</translation>
    </message>
    <message>
        <source>project</source>
        <translation>Projekt</translation>
    </message>
    <message>
        <source>how it came out</source>
        <translation>wie es wurde</translation>
    </message>
    <message>
        <source>any way</source>
        <translation>wie auch immer</translation>
    </message>
    <message>
        <source>without rehearsals</source>
        <translation>ohne Probeläufe</translation>
    </message>
    <message>
        <source>any stock</source>
        <translation>jedes Material</translation>
    </message>
    <message>
        <source>any tool</source>
        <translation>jedes Werkzeug</translation>
    </message>
    <message>
        <source>any project</source>
        <translation>jedes Projekt</translation>
    </message>
    <message>
        <source>run</source>
        <translation>Lauf</translation>
    </message>
    <message>
        <source>runs</source>
        <translation>Läufe</translation>
    </message>
</context>
<context>
    <name>dotlane::LogPanel</name>
    <message>
        <source>mark %1</source>
        <translation>Marke %1</translation>
    </message>
    <message>
        <source>%1 times</source>
        <translation>%1-mal</translation>
    </message>
    <message>
        <source>Log</source>
        <translation>Logbuch</translation>
    </message>
    <message>
        <source>Click a run to see what was set and how it came out; with Ctrl a second one to compare them.</source>
        <translation>Einen Lauf anklicken, um zu sehen, was eingestellt war und was daraus wurde; mit Strg einen zweiten zum Vergleich.</translation>
    </message>
    <message>
        <source>, rehearsed</source>
        <translation>, geprobt</translation>
    </message>
    <message>
        <source>, a test cut</source>
        <translation>, ein Testschnitt</translation>
    </message>
    <message>
        <source>, in %1 parts</source>
        <translation>, in %1 Teilen</translation>
    </message>
    <message>
        <source>running time</source>
        <translation>Laufzeit</translation>
    </message>
    <message>
        <source>as planned</source>
        <translation>wie geplant</translation>
    </message>
    <message>
        <source>hands at pauses</source>
        <translation>Hände an Pausen</translation>
    </message>
    <message>
        <source>strokes missing</source>
        <translation>fehlende Striche</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>How did it come out?</source>
        <translation>Wie ist es geworden?</translation>
    </message>
    <message>
        <source>A photograph of what came out</source>
        <translation>Ein Foto von dem, was daraus wurde</translation>
    </message>
    <message>
        <source>%1 is not there any more</source>
        <translation>%1 ist nicht mehr da</translation>
    </message>
    <message>
        <source>What was set</source>
        <translation>Was eingestellt war</translation>
    </message>
    <message>
        <source>%1 %2, %3</source>
        <translation>%1 %2, %3</translation>
    </message>
    <message>
        <source>%1 · %2 m</source>
        <translation>%1 · %2 m</translation>
    </message>
    <message>
        <source>Run this again</source>
        <translation>Noch einmal so laufen lassen</translation>
    </message>
    <message>
        <source>Opens the project as it was then, as a new one</source>
        <translation>Öffnet das Projekt, wie es damals war, als neues</translation>
    </message>
    <message>
        <source>Two runs</source>
        <translation>Zwei Läufe</translation>
    </message>
    <message>
        <source>%1, %2
%3, %4</source>
        <translation>%1, %2
%3, %4</translation>
    </message>
    <message>
        <source>Nothing was set otherwise.</source>
        <translation>Nichts war anders eingestellt.</translation>
    </message>
</context>
<context>
    <name>dotlane::LogView</name>
    <message>
        <source> · test cut</source>
        <translation> · Testschnitt</translation>
    </message>
    <message>
        <source> · rehearsed</source>
        <translation> · geprobt</translation>
    </message>
    <message>
        <source> · broken off</source>
        <translation> · abgebrochen</translation>
    </message>
    <message>
        <source>Runs, the newest first</source>
        <translation>Läufe, der neueste zuerst</translation>
    </message>
    <message>
        <source>No run yet that fits. Every run is written down by itself, with what was set and what came out; say how each pass came out, and the next setting is proposed from that.</source>
        <translation>Noch kein Lauf, der passt. Jeder Lauf wird von selbst aufgeschrieben, mit Einstellung und Ergebnis; wer sagt, wie jeder Durchgang wurde, bekommt daraus die nächste Einstellung vorgeschlagen.</translation>
    </message>
</context>
<context>
    <name>dotlane::MachineForm</name>
    <message>
        <source>Machine</source>
        <translation>Maschine</translation>
    </message>
    <message>
        <source>Mat</source>
        <translation>Matte</translation>
    </message>
    <message>
        <source>Holders</source>
        <translation>Halter</translation>
    </message>
    <message>
        <source>one holder</source>
        <translation>ein Halter</translation>
    </message>
    <message>
        <source>two holders</source>
        <translation>zwei Halter</translation>
    </message>
    <message>
        <source>three holders</source>
        <translation>drei Halter</translation>
    </message>
    <message>
        <source>four holders</source>
        <translation>vier Halter</translation>
    </message>
    <message>
        <source>How well the mat holds</source>
        <translation>Wie gut die Matte hält</translation>
    </message>
    <message>
        <source>a little</source>
        <translation>ein wenig</translation>
    </message>
    <message>
        <source>well</source>
        <translation>gut</translation>
    </message>
    <message>
        <source>very well</source>
        <translation>sehr gut</translation>
    </message>
    <message>
        <source>Change how the mat holds</source>
        <translation>Ändern, wie die Matte hält</translation>
    </message>
    <message>
        <source>mat</source>
        <translation>Matte</translation>
    </message>
    <message>
        <source>holds</source>
        <translation>hält</translation>
    </message>
    <message>
        <source>holders</source>
        <translation>Halter</translation>
    </message>
    <message>
        <source>Change the machine: %1</source>
        <translation>Die Maschine ändern: %1</translation>
    </message>
    <message>
        <source>border kept clear</source>
        <translation>freier Rand</translation>
    </message>
    <message>
        <source>Border kept clear on every side</source>
        <translation>Rand, der ringsum frei bleibt</translation>
    </message>
    <message>
        <source>rated thickness</source>
        <translation>zulässige Dicke</translation>
    </message>
    <message>
        <source>Thickest stock the machine is rated for</source>
        <translation>Dickstes Material, für das die Maschine zugelassen ist</translation>
    </message>
    <message>
        <source>most force</source>
        <translation>größte Kraft</translation>
    </message>
    <message>
        <source>Most force the machine gives</source>
        <translation>Größte Kraft, die die Maschine gibt</translation>
    </message>
    <message>
        <source>gf</source>
        <translation>gf</translation>
    </message>
    <message>
        <source>travel speed</source>
        <translation>Fahrtempo</translation>
    </message>
    <message>
        <source>Speed with the tool up</source>
        <translation>Tempo mit gehobenem Werkzeug</translation>
    </message>
    <message>
        <source>/s</source>
        <translation>/s</translation>
    </message>
    <message>
        <source>acceleration</source>
        <translation>Beschleunigung</translation>
    </message>
    <message>
        <source>Acceleration of the head</source>
        <translation>Beschleunigung des Kopfes</translation>
    </message>
    <message>
        <source>/s²</source>
        <translation>/s²</translation>
    </message>
    <message>
        <source>jerk</source>
        <translation>Ruck</translation>
    </message>
    <message>
        <source>How quickly the acceleration changes; 0 = at once</source>
        <translation>Wie schnell sich die Beschleunigung ändert; 0 = sofort</translation>
    </message>
    <message>
        <source>/s³</source>
        <translation>/s³</translation>
    </message>
    <message>
        <source>at once</source>
        <translation>sofort</translation>
    </message>
    <message>
        <source>lift or lower</source>
        <translation>heben oder senken</translation>
    </message>
    <message>
        <source>Time to lift or lower the tool</source>
        <translation>Zeit, das Werkzeug zu heben oder zu senken</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>one swap by hand</source>
        <translation>ein Wechsel von Hand</translation>
    </message>
    <message>
        <source>Time for one tool swap by hand</source>
        <translation>Zeit für einen Werkzeugwechsel von Hand</translation>
    </message>
    <message>
        <source>one mark set by hand</source>
        <translation>eine Marke von Hand</translation>
    </message>
    <message>
        <source>Time to set a blade to another mark by hand</source>
        <translation>Zeit, eine Klinge von Hand auf eine andere Marke zu stellen</translation>
    </message>
    <message>
        <source>finds the marks of prints</source>
        <translation>findet Druckmarken</translation>
    </message>
    <message>
        <source>Else a printed sheet is laid as exactly as it is to be cut</source>
        <translation>Sonst wird ein gedruckter Bogen so genau aufgelegt, wie er geschnitten werden soll</translation>
    </message>
    <message>
        <source>The machine finds marks</source>
        <translation>Die Maschine findet Marken</translation>
    </message>
    <message>
        <source>The machine finds no marks</source>
        <translation>Die Maschine findet keine Marken</translation>
    </message>
    <message>
        <source>sets blade depths itself</source>
        <translation>stellt Klingen selbst</translation>
    </message>
    <message>
        <source>Else a blade at another mark is set by hand, in a pause</source>
        <translation>Sonst wird eine Klinge an einer anderen Marke in einer Pause von Hand gestellt</translation>
    </message>
    <message>
        <source>The machine sets depths</source>
        <translation>Die Maschine stellt Tiefen</translation>
    </message>
    <message>
        <source>Depths are set by hand</source>
        <translation>Tiefen werden von Hand gestellt</translation>
    </message>
    <message>
        <source>landing error</source>
        <translation>Aufsetzfehler</translation>
    </message>
    <message>
        <source>How far off a tool lands after a lift, as a standard deviation</source>
        <translation>Wie weit daneben ein Werkzeug nach dem Abheben aufsetzt, als Standardabweichung</translation>
    </message>
    <message>
        <source>goes across</source>
        <translation>geht quer</translation>
    </message>
    <message>
        <source>How far the head goes across of what it is sent</source>
        <translation>Wie weit der Kopf quer geht von dem, was er soll</translation>
    </message>
    <message>
        <source>%</source>
        <translation>%</translation>
    </message>
    <message>
        <source>goes up</source>
        <translation>geht hinauf</translation>
    </message>
    <message>
        <source>How far the head goes up of what it is sent</source>
        <translation>Wie weit der Kopf hinauf geht von dem, was er soll</translation>
    </message>
    <message>
        <source>lands right by</source>
        <translation>landet rechts um</translation>
    </message>
    <message>
        <source>How far right of its place the head comes down</source>
        <translation>Wie weit rechts von seiner Stelle der Kopf aufsetzt</translation>
    </message>
    <message>
        <source>lands down by</source>
        <translation>landet tiefer um</translation>
    </message>
    <message>
        <source>How far down from its place the head comes down</source>
        <translation>Wie weit unter seiner Stelle der Kopf aufsetzt</translation>
    </message>
    <message>
        <source>bar clears</source>
        <translation>Balken lässt durch</translation>
    </message>
    <message>
        <source>What passes under the bar, above the mat</source>
        <translation>Was unter dem Balken durchgeht, über der Matte</translation>
    </message>
    <message>
        <source>bar reaches</source>
        <translation>Balken reicht</translation>
    </message>
    <message>
        <source>How far the bar reaches before and behind the tip</source>
        <translation>Wie weit der Balken vor und hinter die Spitze reicht</translation>
    </message>
    <message>
        <source>Where the rollers stand, from the left edge of the mat, separated by spaces</source>
        <translation>Wo die Rollen stehen, vom linken Rand der Matte, durch Leerzeichen getrennt</translation>
    </message>
    <message>
        <source>none said</source>
        <translation>keine angegeben</translation>
    </message>
    <message>
        <source>rollers at</source>
        <translation>Rollen bei</translation>
    </message>
    <message>
        <source>roller width</source>
        <translation>Rollenbreite</translation>
    </message>
    <message>
        <source>How wide a roller is</source>
        <translation>Wie breit eine Rolle ist</translation>
    </message>
    <message>
        <source>Change the mat</source>
        <translation>Die Matte ändern</translation>
    </message>
    <message>
        <source>Change the holders</source>
        <translation>Die Halter ändern</translation>
    </message>
    <message>
        <source>The machine&apos;s manual and the material&apos;s data sheet come first. Do not go past the rated thickness or force.</source>
        <translation>Das Handbuch der Maschine und das Datenblatt des Materials gehen vor. Nicht über zulässige Dicke oder Kraft hinausgehen.</translation>
    </message>
    <message>
        <source>Say where the rollers stand</source>
        <translation>Sagen, wo die Rollen stehen</translation>
    </message>
</context>
<context>
    <name>dotlane::MainWindow</name>
    <message>
        <source>Something went wrong inside: %1. Your work is here; save it, under another name to be safe.</source>
        <translation>Etwas ging im Innern schief: %1. Ihre Arbeit ist hier; sichern Sie sie, am besten unter anderem Namen.</translation>
    </message>
    <message>
        <source>%1 was changed by another program or window since it was opened here.</source>
        <translation>%1 wurde von einem anderen Programm oder Fenster geändert, seit es hier geöffnet wurde.</translation>
    </message>
    <message>
        <source>Write over it</source>
        <translation>Überschreiben</translation>
    </message>
    <message>
        <source>Save under another name…</source>
        <translation>Unter anderem Namen sichern…</translation>
    </message>
    <message>
        <source>Do not save</source>
        <translation>Nicht sichern</translation>
    </message>
    <message>
        <source>page %1</source>
        <translation>Seite %1</translation>
    </message>
    <message>
        <source>that is all</source>
        <translation>das ist alles</translation>
    </message>
    <message>
        <source>Page %1 of %2 of %3 is here. Another one?</source>
        <translation>Seite %1 von %2 von %3 ist hier. Noch eine?</translation>
    </message>
    <message>
        <source>units are %1: %2 %3</source>
        <translation>die Einheit ist %1: %2 %3</translation>
    </message>
    <message>
        <source>%1 per inch: %2 %3</source>
        <translation>%1 je Zoll: %2 %3</translation>
    </message>
    <message>
        <source>Settle the size</source>
        <translation>Die Größe festlegen</translation>
    </message>
    <message>
        <source>%1 states no physical size. Which is right?</source>
        <translation>%1 nennt keine wirkliche Größe. Welche stimmt?</translation>
    </message>
    <message>
        <source>%1 is traced. Threshold, crop and smoothing are in the recipe.</source>
        <translation>%1 ist nachgezeichnet. Schwelle, Ausschnitt und Glättung stehen im Rezept.</translation>
    </message>
    <message>
        <source>%1: the roles of its lines were guessed. Confirm them in the recipe or in Second look.</source>
        <translation>%1: Die Rollen der Linien wurden geraten. Im Rezept oder im Zweiten Blick bestätigen.</translation>
    </message>
    <message>
        <source> (changed)</source>
        <translation> (geändert)</translation>
    </message>
    <message>
        <source> – Dot Lane</source>
        <translation> – Dot Lane</translation>
    </message>
    <message>
        <source>Dot Lane</source>
        <translation>Dot Lane</translation>
    </message>
    <message>
        <source>done</source>
        <translation>fertig</translation>
    </message>
    <message>
        <source>stopped</source>
        <translation>angehalten</translation>
    </message>
    <message>
        <source>hands needed</source>
        <translation>Hände gefragt</translation>
    </message>
    <message>
        <source>held</source>
        <translation>hält</translation>
    </message>
    <message>
        <source>running</source>
        <translation>läuft</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederherstellen</translation>
    </message>
    <message>
        <source>Select everything</source>
        <translation>Alles wählen</translation>
    </message>
    <message>
        <source>Remove what is selected</source>
        <translation>Entfernen, was gewählt ist</translation>
    </message>
    <message>
        <source>Bring onto the mat</source>
        <translation>Auf die Matte holen</translation>
    </message>
    <message>
        <source>Split into pieces by layer</source>
        <translation>Nach Ebenen in Stücke teilen</translation>
    </message>
    <message>
        <source>Split by layer</source>
        <translation>Nach Ebenen teilen</translation>
    </message>
    <message>
        <source>One layer up</source>
        <translation>Eine Lage hinauf</translation>
    </message>
    <message>
        <source>One layer down</source>
        <translation>Eine Lage hinab</translation>
    </message>
    <message>
        <source>Move the piece one layer up</source>
        <translation>Das Stück eine Lage hinauf</translation>
    </message>
    <message>
        <source>Move the piece one layer down</source>
        <translation>Das Stück eine Lage hinab</translation>
    </message>
    <message>
        <source>Select all lines of this colour</source>
        <translation>Alle Linien dieser Farbe wählen</translation>
    </message>
    <message>
        <source>Select all lines of this role</source>
        <translation>Alle Linien dieser Rolle wählen</translation>
    </message>
    <message>
        <source>Select all lines of this tool</source>
        <translation>Alle Linien dieses Werkzeugs wählen</translation>
    </message>
    <message>
        <source>Select all pieces of this stock</source>
        <translation>Alle Stücke aus diesem Material wählen</translation>
    </message>
    <message>
        <source>Select all of this shape, turned, mirrored, larger or smaller</source>
        <translation>Alle dieser Form wählen, gedreht, gespiegelt, größer oder kleiner</translation>
    </message>
    <message>
        <source>Select all pieces as large as this, however they lie</source>
        <translation>Alle Stücke wählen, die so groß sind wie dieses, wie sie auch liegen</translation>
    </message>
    <message>
        <source>Select all that is not selected</source>
        <translation>Alles wählen, was nicht gewählt ist</translation>
    </message>
    <message>
        <source>Confirm all guessed roles</source>
        <translation>Alle geratenen Rollen bestätigen</translation>
    </message>
    <message>
        <source>Confirm the roles</source>
        <translation>Die Rollen bestätigen</translation>
    </message>
    <message>
        <source>Mirror what is selected, left to right</source>
        <translation>Spiegeln, was gewählt ist, links gegen rechts</translation>
    </message>
    <message>
        <source>Mirror what is selected, top to bottom</source>
        <translation>Spiegeln, was gewählt ist, oben gegen unten</translation>
    </message>
    <message>
        <source>Select the next piece below, where the pointer is</source>
        <translation>Das nächste Stück darunter wählen, wo der Zeiger ist</translation>
    </message>
    <message>
        <source>Select by a loop drawn around</source>
        <translation>Mit einer gezogenen Schlinge wählen</translation>
    </message>
    <message>
        <source>Measure with the tape</source>
        <translation>Mit dem Maßband messen</translation>
    </message>
    <message>
        <source>Draw a straight line</source>
        <translation>Eine gerade Linie zeichnen</translation>
    </message>
    <message>
        <source>Draw a line with corners</source>
        <translation>Eine Linie mit Ecken zeichnen</translation>
    </message>
    <message>
        <source>Draw a line by free hand</source>
        <translation>Eine Linie aus freier Hand zeichnen</translation>
    </message>
    <message>
        <source>Draw a fold from edge to edge</source>
        <translation>Einen Falz von Kante zu Kante zeichnen</translation>
    </message>
    <message>
        <source>Erase what lies in a loop</source>
        <translation>Radieren, was in einer Schlinge liegt</translation>
    </message>
    <message>
        <source>Cut in two along a line drawn</source>
        <translation>Entlang einer gezeichneten Linie entzweischneiden</translation>
    </message>
    <message>
        <source>Leave out contours by clicking them</source>
        <translation>Konturen durch Anklicken weglassen</translation>
    </message>
    <message>
        <source>Set bridges or seams, and take them away, by clicking</source>
        <translation>Stege oder Nähte durch Klicken setzen und wegnehmen</translation>
    </message>
    <message>
        <source>Mirror the whole job, or not</source>
        <translation>Den ganzen Auftrag spiegeln oder nicht</translation>
    </message>
    <message>
        <source>Mirror the job</source>
        <translation>Den Auftrag spiegeln</translation>
    </message>
    <message>
        <source>Do not mirror the job</source>
        <translation>Den Auftrag nicht spiegeln</translation>
    </message>
    <message>
        <source>Make it %1</source>
        <translation>Rolle: %1</translation>
    </message>
    <message>
        <source>Make the selected lines %1</source>
        <translation>Den gewählten Linien die Rolle geben: %1</translation>
    </message>
    <message>
        <source>Undo: %1</source>
        <translation>Rückgängig: %1</translation>
    </message>
    <message>
        <source>Redo: %1</source>
        <translation>Wiederherstellen: %1</translation>
    </message>
    <message>
        <source>Find an action</source>
        <translation>Eine Aktion finden</translation>
    </message>
    <message>
        <source>Zoom to fit</source>
        <translation>Alles zeigen</translation>
    </message>
    <message>
        <source>Zoom to what is selected</source>
        <translation>Zeigen, was gewählt ist</translation>
    </message>
    <message>
        <source>Show the layers stacked, as they will lie on each other</source>
        <translation>Die Lagen übereinander zeigen, wie sie liegen werden</translation>
    </message>
    <message>
        <source>Show what upper layers hide</source>
        <translation>Zeigen, was obere Lagen verdecken</translation>
    </message>
    <message>
        <source>Zoom in</source>
        <translation>Vergrößern</translation>
    </message>
    <message>
        <source>Zoom out</source>
        <translation>Verkleinern</translation>
    </message>
    <message>
        <source>Go to Draft</source>
        <translation>Zum Entwurf</translation>
    </message>
    <message>
        <source>Go to Sheets</source>
        <translation>Zu den Bögen</translation>
    </message>
    <message>
        <source>Go to Passes</source>
        <translation>Zu den Durchgängen</translation>
    </message>
    <message>
        <source>Go to Run</source>
        <translation>Zum Lauf</translation>
    </message>
    <message>
        <source>Go to Make</source>
        <translation>Zum Bauen</translation>
    </message>
    <message>
        <source>Go to the logbook</source>
        <translation>Zum Logbuch</translation>
    </message>
    <message>
        <source>Say that the part looked for is in its place, or not after all</source>
        <translation>Sagen, dass das gesuchte Teil an seinem Platz ist, oder doch nicht</translation>
    </message>
    <message>
        <source>Look for the next part</source>
        <translation>Das nächste Teil suchen</translation>
    </message>
    <message>
        <source>Look for the part before</source>
        <translation>Das Teil davor suchen</translation>
    </message>
    <message>
        <source>Second look: the findings</source>
        <translation>Zweiter Blick: die Befunde</translation>
    </message>
    <message>
        <source>Go to the answers of a notice</source>
        <translation>Zu den Antworten eines Hinweises</translation>
    </message>
    <message>
        <source>Fold the lanes to one line, or unfold them</source>
        <translation>Die Bahnen auf eine Zeile falten oder entfalten</translation>
    </message>
    <message>
        <source>Fold the panel at the right away, or show it</source>
        <translation>Das Feld rechts wegfalten oder zeigen</translation>
    </message>
    <message>
        <source>Switch between millimetres and inches</source>
        <translation>Zwischen Millimeter und Zoll wechseln</translation>
    </message>
    <message>
        <source>Change the unit</source>
        <translation>Die Einheit ändern</translation>
    </message>
    <message>
        <source>Show inches with decimals, as sixteenths, or as thirty-seconds</source>
        <translation>Zoll mit Dezimalen, in Sechzehnteln oder Zweiunddreißigsteln zeigen</translation>
    </message>
    <message>
        <source>Inches are shown with decimals.</source>
        <translation>Zoll werden mit Dezimalen gezeigt.</translation>
    </message>
    <message>
        <source>Inches are shown to the nearest sixteenth.</source>
        <translation>Zoll werden auf Sechzehntel gezeigt.</translation>
    </message>
    <message>
        <source>Inches are shown to the nearest thirty-second.</source>
        <translation>Zoll werden auf Zweiunddreißigstel gezeigt.</translation>
    </message>
    <message>
        <source>Switch between light and dark</source>
        <translation>Zwischen hell und dunkel wechseln</translation>
    </message>
    <message>
        <source>Rehearse the job</source>
        <translation>Den Auftrag proben</translation>
    </message>
    <message>
        <source>Cancel the run</source>
        <translation>Den Lauf abbrechen</translation>
    </message>
    <message>
        <source>Find a project, or a piece of one…</source>
        <translation>Ein Projekt finden, oder ein Stück daraus…</translation>
    </message>
    <message>
        <source>Another window with a new project</source>
        <translation>Ein weiteres Fenster mit neuem Projekt</translation>
    </message>
    <message>
        <source>Go to the next window</source>
        <translation>Zum nächsten Fenster</translation>
    </message>
    <message>
        <source>Windows</source>
        <translation>Fenster</translation>
    </message>
    <message>
        <source>New project</source>
        <translation>Neues Projekt</translation>
    </message>
    <message>
        <source>Open a project…</source>
        <translation>Ein Projekt öffnen…</translation>
    </message>
    <message>
        <source>Open a project</source>
        <translation>Ein Projekt öffnen</translation>
    </message>
    <message>
        <source>Bring in a drawing or a picture…</source>
        <translation>Eine Zeichnung oder ein Bild hereinholen…</translation>
    </message>
    <message>
        <source>Bring in a drawing or a picture</source>
        <translation>Eine Zeichnung oder ein Bild hereinholen</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Sichern</translation>
    </message>
    <message>
        <source>Export the job: SVG, DXF, HPGL, G-code, PDF or PNG…</source>
        <translation>Den Auftrag ausgeben: SVG, DXF, HPGL, G-Code, PDF oder PNG…</translation>
    </message>
    <message>
        <source>Export the job</source>
        <translation>Den Auftrag ausgeben</translation>
    </message>
    <message>
        <source>Choose how G-code lifts its tool: a profile…</source>
        <translation>Wählen, wie G-Code sein Werkzeug hebt: ein Profil…</translation>
    </message>
    <message>
        <source>Close the window</source>
        <translation>Das Fenster schließen</translation>
    </message>
    <message>
        <source>Unsaved work from %1 was found.</source>
        <translation>Nicht gesicherte Arbeit von %1 wurde gefunden.</translation>
    </message>
    <message>
        <source>%1 cannot be read, but unsaved work on it from %2 was found.</source>
        <translation>%1 ist nicht lesbar, aber nicht gesicherte Arbeit daran von %2 wurde gefunden.</translation>
    </message>
    <message>
        <source>Take it up</source>
        <translation>Aufnehmen</translation>
    </message>
    <message>
        <source>Throw it away</source>
        <translation>Wegwerfen</translation>
    </message>
    <message>
        <source>Decide later</source>
        <translation>Später entscheiden</translation>
    </message>
    <message>
        <source>A run of %1 was broken off on %2. If the mat is still where it was, with what lies on it, it can go on at the exact stroke.</source>
        <translation>Ein Lauf von %1 wurde am %2 abgebrochen. Liegt die Matte noch, wo sie war, mit allem darauf, kann er beim genauen Strich weitergehen.</translation>
    </message>
    <message>
        <source>Let it be</source>
        <translation>Dabei lassen</translation>
    </message>
    <message>
        <source>Save the project</source>
        <translation>Das Projekt sichern</translation>
    </message>
    <message>
        <source>Exported %1</source>
        <translation>%1 ausgegeben</translation>
    </message>
    <message>
        <source>How G-code lifts its tool</source>
        <translation>Wie G-Code sein Werkzeug hebt</translation>
    </message>
    <message>
        <source>Profiles (*.json)</source>
        <translation>Profile (*.json)</translation>
    </message>
    <message>
        <source>G-code follows the profile %1 from now on.</source>
        <translation>G-Code folgt von nun an dem Profil %1.</translation>
    </message>
    <message>
        <source>No recent projects</source>
        <translation>Keine früheren Projekte</translation>
    </message>
    <message>
        <source>Recent projects</source>
        <translation>Frühere Projekte</translation>
    </message>
    <message>
        <source>Take the shelf of another project</source>
        <translation>Das Regal eines anderen Projekts nehmen</translation>
    </message>
    <message>
        <source>Take another&apos;s shelf</source>
        <translation>Das Regal eines anderen nehmen</translation>
    </message>
    <message>
        <source>%1 came from the shelf of %2.</source>
        <translation>%1 kamen aus dem Regal von %2.</translation>
    </message>
    <message>
        <source>thing</source>
        <translation>Ding</translation>
    </message>
    <message>
        <source>things</source>
        <translation>Dinge</translation>
    </message>
    <message>
        <source>A photograph of the mat</source>
        <translation>Ein Foto der Matte</translation>
    </message>
    <message>
        <source>Pictures (*.png *.jpg *.jpeg *.bmp)</source>
        <translation>Bilder (*.png *.jpg *.jpeg *.bmp)</translation>
    </message>
    <message>
        <source>Leave them</source>
        <translation>So lassen</translation>
    </message>
    <message>
        <source>Sizes and sheets</source>
        <translation>Größen und Bögen</translation>
    </message>
    <message>
        <source>Preferences…</source>
        <translation>Einstellungen…</translation>
    </message>
    <message>
        <source>300</source>
        <extracomment>How wide the panels at the right must be for the words of this language, px. A test measures whether that does.</extracomment>
        <translation>368</translation>
    </message>
</context>
<context>
    <name>dotlane::MakeDesk</name>
    <message>
        <source>Put together from the top layer</source>
        <translation>Von der obersten Lage aus zusammensetzen</translation>
    </message>
    <message>
        <source>Put together from the back layer</source>
        <translation>Von der hintersten Lage aus zusammensetzen</translation>
    </message>
    <message>
        <source>In place: %1</source>
        <translation>Am Platz: %1</translation>
    </message>
    <message>
        <source>part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>parts</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Not in place: %1</source>
        <translation>Nicht am Platz: %1</translation>
    </message>
    <message>
        <source>%1, %2 of %3</source>
        <translation>%1, %2 von %3</translation>
    </message>
</context>
<context>
    <name>dotlane::MakePanel</name>
    <message>
        <source>Make</source>
        <translation>Bauen</translation>
    </message>
    <message>
        <source>There is no part that is cut out, and so nothing to put together.</source>
        <translation>Kein Teil wird ausgeschnitten, also ist nichts zusammenzusetzen.</translation>
    </message>
    <message>
        <source>Looked for</source>
        <translation>Gesucht</translation>
    </message>
    <message>
        <source>The one before</source>
        <translation>Das davor</translation>
    </message>
    <message>
        <source>The next</source>
        <translation>Das nächste</translation>
    </message>
    <message>
        <source>The figure shows</source>
        <translation>Die Figur zeigt</translation>
    </message>
    <message>
        <source>growing</source>
        <translation>wachsend</translation>
    </message>
    <message>
        <source>layers</source>
        <translation>Lagen</translation>
    </message>
    <message>
        <source>behind</source>
        <translation>hinten</translation>
    </message>
    <message>
        <source>Tiles from behind, with the lines to tape along; where the step has seams</source>
        <translation>Kacheln von hinten, mit den Linien zum Kleben; wo der Schritt Nähte hat</translation>
    </message>
    <message>
        <source>In which order</source>
        <translation>In welcher Reihenfolge</translation>
    </message>
    <message>
        <source>From the back layer up, or the top layer first</source>
        <translation>Von der hintersten Lage hinauf oder die oberste zuerst</translation>
    </message>
    <message>
        <source>back layer first</source>
        <translation>hinterste Lage zuerst</translation>
    </message>
    <message>
        <source>top layer first</source>
        <translation>oberste Lage zuerst</translation>
    </message>
    <message>
        <source>Card is laid layer on layer from the back. Transfers are laid top layer first.</source>
        <translation>Karton wird Lage auf Lage von hinten gelegt. Transfers werden mit der obersten Lage zuerst gelegt.</translation>
    </message>
    <message>
        <source>it grows</source>
        <translation>sie wächst</translation>
    </message>
    <message>
        <source>What draws the parts&apos; numbers on their sheets</source>
        <translation>Was die Nummern der Teile auf ihre Bögen zeichnet</translation>
    </message>
    <message>
        <source>Lightly beside each part, or on its back where the job is mirrored, in a pass of their own; never on a face.</source>
        <translation>Leicht neben jedes Teil, oder auf seine Rückseite, wo der Auftrag gespiegelt ist, in einem eigenen Durchgang; nie auf ein Gesicht.</translation>
    </message>
    <message>
        <source>numbers on sheets</source>
        <translation>Nummern auf Bögen</translation>
    </message>
    <message>
        <source>Draw the parts&apos; numbers</source>
        <translation>Die Nummern der Teile zeichnen</translation>
    </message>
    <message>
        <source>Draw no numbers</source>
        <translation>Keine Nummern zeichnen</translation>
    </message>
    <message>
        <source>On paper</source>
        <translation>Auf Papier</translation>
    </message>
    <message>
        <source>Blades are sharp: put their caps on before you glue. Card edges cut, too.</source>
        <translation>Klingen sind scharf: vor dem Kleben die Kappen aufsetzen. Auch Kartonkanten schneiden.</translation>
    </message>
    <message>
        <source>Save the steps as PDF…</source>
        <translation>Die Schritte als PDF sichern…</translation>
    </message>
    <message>
        <source>Save a plan at true scale…</source>
        <translation>Einen Plan in wahrer Größe sichern…</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>step %1 of %2</source>
        <translation>Schritt %1 von %2</translation>
    </message>
    <message>
        <source>On sheet %1</source>
        <translation>Auf Bogen %1</translation>
    </message>
    <message>
        <source>, turned %1° to the left there</source>
        <translation>, dort um %1° nach links gedreht</translation>
    </message>
    <message>
        <source>, turned %1° to the right there</source>
        <translation>, dort um %1° nach rechts gedreht</translation>
    </message>
    <message>
        <source>On no sheet yet: find a place for it at Sheets.</source>
        <translation>Noch auf keinem Bogen: bei Bögen einen Platz dafür finden.</translation>
    </message>
    <message>
        <source>It is in tiles: join them face down first.</source>
        <translation>Es ist in Kacheln: erst mit dem Gesicht nach unten zusammenfügen.</translation>
    </message>
    <message>
        <source>Not in place after all</source>
        <translation>Doch nicht am Platz</translation>
    </message>
    <message>
        <source>It is in place</source>
        <translation>Es ist am Platz</translation>
    </message>
</context>
<context>
    <name>dotlane::Notice</name>
    <message>
        <source>Dismiss</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
</context>
<context>
    <name>dotlane::NumberField</name>
    <message>
        <source>Drag sideways to change the number; Shift for large steps, Alt for small ones</source>
        <translation>Seitwärts ziehen, um die Zahl zu ändern; Umschalt für große Schritte, Alt für kleine</translation>
    </message>
    <message>
        <source>At least %1.</source>
        <translation>Mindestens %1.</translation>
    </message>
    <message>
        <source>At most %1.</source>
        <translation>Höchstens %1.</translation>
    </message>
</context>
<context>
    <name>dotlane::PaceForm</name>
    <message>
        <source>Pace</source>
        <translation>Gang</translation>
    </message>
    <message>
        <source>How long passes of a role take by the clock, beside what is planned. Times are planned with it from now on.</source>
        <translation>Wie lange Durchgänge einer Rolle nach der Uhr dauern, neben dem Plan. Zeiten werden von nun an damit geplant.</translation>
    </message>
    <message>
        <source>Role whose pace is told</source>
        <translation>Rolle, deren Gang gesagt wird</translation>
    </message>
    <message>
        <source>How many times as long as planned it takes</source>
        <translation>Wievielmal so lange wie geplant es dauert</translation>
    </message>
    <message>
        <source>How much it differs from run to run</source>
        <translation>Wie sehr es sich von Lauf zu Lauf unterscheidet</translation>
    </message>
    <message>
        <source>%</source>
        <translation>%</translation>
    </message>
    <message>
        <source>role</source>
        <translation>Rolle</translation>
    </message>
    <message>
        <source>takes</source>
        <translation>nimmt</translation>
    </message>
    <message>
        <source>give or take</source>
        <translation>mehr oder weniger</translation>
    </message>
    <message>
        <source>What a minute of work costs</source>
        <translation>Was eine Minute Arbeit kostet</translation>
    </message>
    <message>
        <source>a minute</source>
        <translation>je Minute</translation>
    </message>
    <message>
        <source>not counted</source>
        <translation>nicht gezählt</translation>
    </message>
    <message>
        <source>work costs</source>
        <translation>Arbeit kostet</translation>
    </message>
    <message>
        <source>Set what work costs</source>
        <translation>Festlegen, was Arbeit kostet</translation>
    </message>
    <message>
        <source>Learn it from the logbook</source>
        <translation>Aus dem Logbuch lernen</translation>
    </message>
    <message>
        <source>By what runs on a machine of this name really took</source>
        <translation>Nach dem, was Läufe auf einer Maschine dieses Namens wirklich brauchten</translation>
    </message>
    <message>
        <source>Set the pace: %1</source>
        <translation>Den Gang festlegen: %1</translation>
    </message>
    <message>
        <source>Not yet: it takes three passes of a role that ran to their end on this machine.</source>
        <translation>Noch nicht: Es braucht drei Durchgänge einer Rolle, die auf dieser Maschine zu Ende liefen.</translation>
    </message>
    <message>
        <source>%1 × %2</source>
        <translation>%1 × %2</translation>
    </message>
    <message>
        <source>Learn the pace</source>
        <translation>Den Gang lernen</translation>
    </message>
    <message>
        <source>Learned: %1.</source>
        <translation>Gelernt: %1.</translation>
    </message>
</context>
<context>
    <name>dotlane::PackBars</name>
    <message>
        <source>filled</source>
        <translation>gefüllt</translation>
    </message>
</context>
<context>
    <name>dotlane::PackRun</name>
    <message>
        <source>The parts could not be packed: %1. Nothing was changed.</source>
        <translation>Die Teile ließen sich nicht packen: %1. Nichts wurde geändert.</translation>
    </message>
    <message>
        <source>The project was changed while it was packed. It is as you left it; pack it again.</source>
        <translation>Das Projekt wurde während des Packens geändert. Es ist, wie Sie es verlassen haben; noch einmal packen.</translation>
    </message>
    <message>
        <source>Pack the parts</source>
        <translation>Die Teile packen</translation>
    </message>
</context>
<context>
    <name>dotlane::PartCard</name>
    <message>
        <source>from left</source>
        <translation>von links</translation>
    </message>
    <message>
        <source>Part from the left edge of its sheet</source>
        <translation>Teil vom linken Rand seines Bogens</translation>
    </message>
    <message>
        <source>from top</source>
        <translation>von oben</translation>
    </message>
    <message>
        <source>Part from the top edge of its sheet</source>
        <translation>Teil vom oberen Rand seines Bogens</translation>
    </message>
    <message>
        <source>turned</source>
        <translation>gedreht</translation>
    </message>
    <message>
        <source>Part turned from upright</source>
        <translation>Teil, aus der Aufrechten gedreht</translation>
    </message>
    <message>
        <source>°</source>
        <translation>°</translation>
    </message>
    <message>
        <source>How many of the part are made</source>
        <translation>Wie viele von dem Teil gemacht werden</translation>
    </message>
    <message>
        <source>×</source>
        <translation>×</translation>
    </message>
    <message>
        <source>copies</source>
        <translation>Kopien</translation>
    </message>
    <message>
        <source>run this time</source>
        <translation>diesmal laufen lassen</translation>
    </message>
    <message>
        <source>What is not run stays where it is</source>
        <translation>Was nicht läuft, bleibt, wo es ist</translation>
    </message>
    <message>
        <source>pinned</source>
        <translation>festgesteckt</translation>
    </message>
    <message>
        <source>Nothing but your hand moves it</source>
        <translation>Nur Ihre Hand bewegt es</translation>
    </message>
    <message>
        <source>kept together</source>
        <translation>zusammengehalten</translation>
    </message>
    <message>
        <source>Turned and moved as one, and laid as in the figure</source>
        <translation>Als eins gedreht und bewegt, und gelegt wie in der Figur</translation>
    </message>
    <message>
        <source>Find room</source>
        <translation>Platz finden</translation>
    </message>
    <message>
        <source>Lays it on any sheet where there is room, and leaves the rest</source>
        <translation>Legt es auf einen Bogen, auf dem Platz ist, und lässt alles andere</translation>
    </message>
    <message>
        <source>Turn to fit</source>
        <translation>Passend drehen</translation>
    </message>
    <message>
        <source>Lays it anew on its own sheet, turned as it fits best</source>
        <translation>Legt es auf seinem Bogen neu, gedreht, wie es am besten passt</translation>
    </message>
    <message>
        <source>Take off</source>
        <translation>Wegnehmen</translation>
    </message>
    <message>
        <source>It waits until there is room</source>
        <translation>Es wartet, bis Platz ist</translation>
    </message>
    <message>
        <source>part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>parts</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>  ·  waits</source>
        <translation>  ·  wartet</translation>
    </message>
    <message>
        <source>  ·  sheet %1</source>
        <translation>  ·  Bogen %1</translation>
    </message>
    <message>
        <source>  ·  several sheets</source>
        <translation>  ·  mehrere Bögen</translation>
    </message>
</context>
<context>
    <name>dotlane::PartsLedger</name>
    <message>
        <source>Parts</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Parts by sheet</source>
        <translation>Teile nach Bögen</translation>
    </message>
    <message>
        <source>%1 on %2</source>
        <translation>%1 auf %2</translation>
    </message>
    <message>
        <source>sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>sheets</source>
        <translation>Bögen</translation>
    </message>
</context>
<context>
    <name>dotlane::PartsModel</name>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>%1: drag it onto another sheet to find room for it there</source>
        <translation>%1: auf einen anderen Bogen ziehen, um dort Platz dafür zu finden</translation>
    </message>
    <message>
        <source>Sheet %1, %2</source>
        <translation>Bogen %1, %2</translation>
    </message>
    <message>
        <source>Waiting</source>
        <translation>Wartend</translation>
    </message>
</context>
<context>
    <name>dotlane::PassEditor</name>
    <message>
        <source>Change the pass: %1</source>
        <translation>Den Durchgang ändern: %1</translation>
    </message>
    <message>
        <source>force</source>
        <translation>Kraft</translation>
    </message>
    <message>
        <source>gf</source>
        <translation>gf</translation>
    </message>
    <message>
        <source>speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>/s</source>
        <translation>/s</translation>
    </message>
    <message>
        <source>repeats</source>
        <translation>Wiederholungen</translation>
    </message>
    <message>
        <source>times</source>
        <translation>-mal</translation>
    </message>
</context>
<context>
    <name>dotlane::PassesPanel</name>
    <message>
        <source>Passes</source>
        <translation>Durchgänge</translation>
    </message>
    <message>
        <source>Change the %1</source>
        <translation>Ändern: %1</translation>
    </message>
    <message>
        <source>force</source>
        <translation>Kraft</translation>
    </message>
    <message>
        <source>Force of this pass</source>
        <translation>Kraft dieses Durchgangs</translation>
    </message>
    <message>
        <source>gf</source>
        <translation>gf</translation>
    </message>
    <message>
        <source>speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>Speed of this pass</source>
        <translation>Tempo dieses Durchgangs</translation>
    </message>
    <message>
        <source>/s</source>
        <translation>/s</translation>
    </message>
    <message>
        <source>repeats</source>
        <translation>Wiederholungen</translation>
    </message>
    <message>
        <source>Repeats of this pass</source>
        <translation>Wiederholungen dieses Durchgangs</translation>
    </message>
    <message>
        <source>times</source>
        <translation>-mal</translation>
    </message>
    <message>
        <source>blade depth</source>
        <translation>Klingentiefe</translation>
    </message>
    <message>
        <source>Blade depth mark</source>
        <translation>Marke der Klingentiefe</translation>
    </message>
    <message>
        <source>mark</source>
        <translation>Marke</translation>
    </message>
    <message>
        <source>hold-down tabs</source>
        <translation>Haltestege</translation>
    </message>
    <message>
        <source>Hold-down tabs of each contour; 0 = none</source>
        <translation>Haltestege je Kontur; 0 = keine</translation>
    </message>
    <message>
        <source>each</source>
        <translation>je</translation>
    </message>
    <message>
        <source>Places of each cut contour that are left standing on straight stretches, so that the part stays held until it is pushed out</source>
        <translation>Stellen jeder Schnittkontur, die auf geraden Strecken stehen bleiben, damit das Teil hält, bis es herausgedrückt wird</translation>
    </message>
    <message>
        <source>tab width</source>
        <translation>Stegbreite</translation>
    </message>
    <message>
        <source>Width of a hold-down tab</source>
        <translation>Breite eines Haltestegs</translation>
    </message>
    <message>
        <source>slow in curves under</source>
        <translation>in Bögen langsam unter</translation>
    </message>
    <message>
        <source>Radius of curves that are gone along slowly</source>
        <translation>Radius von Bögen, die langsam gefahren werden</translation>
    </message>
    <message>
        <source>In curves tighter than this radius the tool goes no faster than said below; 0: nowhere</source>
        <translation>In engeren Bögen als diesem Radius fährt das Werkzeug nicht schneller als unten gesagt; 0: nirgends</translation>
    </message>
    <message>
        <source>nowhere</source>
        <translation>nirgends</translation>
    </message>
    <message>
        <source>speed there</source>
        <translation>Tempo dort</translation>
    </message>
    <message>
        <source>Speed in tight curves</source>
        <translation>Tempo in engen Bögen</translation>
    </message>
    <message>
        <source>Set what came out well</source>
        <translation>Einstellen, was gut gelang</translation>
    </message>
    <message>
        <source>run this time</source>
        <translation>diesmal laufen lassen</translation>
    </message>
    <message>
        <source>A pass that is not run stays in the project</source>
        <translation>Ein Durchgang, der nicht läuft, bleibt im Projekt</translation>
    </message>
    <message>
        <source>Not this time</source>
        <translation>Diesmal nicht</translation>
    </message>
    <message>
        <source>pinned to its place</source>
        <translation>an seinem Platz festgesteckt</translation>
    </message>
    <message>
        <source>It keeps its place among the passes of its mat when all is planned again</source>
        <translation>Er behält seinen Platz unter den Durchgängen seiner Matte, wenn alles neu geplant wird</translation>
    </message>
    <message>
        <source>Pin a pass</source>
        <translation>Einen Durchgang feststecken</translation>
    </message>
    <message>
        <source>Let go of a pinned pass</source>
        <translation>Einen festgesteckten Durchgang lösen</translation>
    </message>
    <message>
        <source>Let go of its place</source>
        <translation>Vom Platz lösen</translation>
    </message>
    <message>
        <source>It was put there by hand; the planner may choose again</source>
        <translation>Er wurde von Hand dorthin gesetzt; der Planer darf wieder wählen</translation>
    </message>
    <message>
        <source>Let go of a pass</source>
        <translation>Einen Durchgang lösen</translation>
    </message>
    <message>
        <source>Order of roles</source>
        <translation>Reihenfolge der Rollen</translation>
    </message>
    <message>
        <source>Mirror the whole job, once</source>
        <translation>Den ganzen Auftrag spiegeln, einmal</translation>
    </message>
    <message>
        <source>For transfers and blanks read from the back. Leave the machine&apos;s own mirror switch off.</source>
        <translation>Für Transfers und Rohlinge, die von hinten gelesen werden. Den Spiegelschalter der Maschine selbst aus lassen.</translation>
    </message>
    <message>
        <source>Mirror the job</source>
        <translation>Den Auftrag spiegeln</translation>
    </message>
    <message>
        <source>Do not mirror the job</source>
        <translation>Den Auftrag nicht spiegeln</translation>
    </message>
    <message>
        <source>Cut round parts last</source>
        <translation>Rundum zuletzt schneiden</translation>
    </message>
    <message>
        <source>Of each cut pass: what comes loose is cut round after all else, so that the sheet holds as long as it can</source>
        <translation>In jedem Schneidedurchgang: Was sich löst, wird nach allem anderen umschnitten, damit der Bogen so lange wie möglich hält</translation>
    </message>
    <message>
        <source>Cut round parts as they come</source>
        <translation>Rundum schneiden, wie es kommt</translation>
    </message>
    <message>
        <source>Calibrate them…</source>
        <translation>Kalibrieren…</translation>
    </message>
    <message>
        <source>Sheets that show how tools, stock and machine really are</source>
        <translation>Bögen, die zeigen, wie Werkzeuge, Material und Maschine wirklich sind</translation>
    </message>
    <message>
        <source>%1 %2, %3</source>
        <translation>%1 %2, %3</translation>
    </message>
    <message>
        <source>Run it</source>
        <translation>Laufen lassen</translation>
    </message>
    <message>
        <source>Run it this time</source>
        <translation>Diesmal laufen lassen</translation>
    </message>
    <message>
        <source>No passes yet: give lines a role first.</source>
        <translation>Noch keine Durchgänge: erst Linien eine Rolle geben.</translation>
    </message>
    <message>
        <source>Click a pass in the lanes below to see its force, speed and repeats. Drag it to another place to change the order.</source>
        <translation>Einen Durchgang unten in den Bahnen anklicken, um Kraft, Tempo und Wiederholungen zu sehen. An eine andere Stelle ziehen, um die Reihenfolge zu ändern.</translation>
    </message>
    <message>
        <source>&lt;b&gt;Pass %1: %2 %3&lt;/b&gt;&lt;br&gt;%4 in holder %5&lt;br&gt;%6 lines, %7 travel, %8, %9</source>
        <translation>&lt;b&gt;Durchgang %1: %2 %3&lt;/b&gt;&lt;br&gt;%4 in Halter %5&lt;br&gt;%6 Linien, %7 Weg, %8, %9</translation>
    </message>
    <message>
        <source>lift</source>
        <translation>Abheben</translation>
    </message>
    <message>
        <source>lifts</source>
        <translation>Abheben</translation>
    </message>
    <message>
        <source>%1 before %2</source>
        <translation>%1 vor %2</translation>
    </message>
    <message>
        <source>light inks before dark ones</source>
        <translation>helle Tinten vor dunklen</translation>
    </message>
    <message>
        <source>put so by hand</source>
        <translation>von Hand so gesetzt</translation>
    </message>
    <message>
        <source>one mat after the other</source>
        <translation>eine Matte nach der anderen</translation>
    </message>
    <message>
        <source>after pass %1: %2</source>
        <translation>nach Durchgang %1: %2</translation>
    </message>
    <message>
        <source>before pass %1: %2</source>
        <translation>vor Durchgang %1: %2</translation>
    </message>
    <message>
        <source>and %1 more</source>
        <translation>und %1 mehr</translation>
    </message>
    <message>
        <source>Plan again</source>
        <translation>Neu planen</translation>
    </message>
    <message>
        <source>Forgets the order by hand, but for pinned passes</source>
        <translation>Vergisst die Ordnung von Hand, außer bei festgesteckten Durchgängen</translation>
    </message>
    <message>
        <source>Plan the passes again</source>
        <translation>Die Durchgänge neu planen</translation>
    </message>
    <message>
        <source>Run lines of this role this time</source>
        <translation>Linien dieser Rolle diesmal laufen lassen</translation>
    </message>
    <message>
        <source>Run %1 this time</source>
        <translation>Diesmal laufen lassen: %1</translation>
    </message>
    <message>
        <source>Not this time: %1</source>
        <translation>Diesmal nicht: %1</translation>
    </message>
    <message>
        <source>Run %1 earlier</source>
        <translation>Früher laufen lassen: %1</translation>
    </message>
    <message>
        <source>Run %1 later</source>
        <translation>Später laufen lassen: %1</translation>
    </message>
    <message>
        <source>Change the order of roles</source>
        <translation>Die Reihenfolge der Rollen ändern</translation>
    </message>
</context>
<context>
    <name>dotlane::PhotographView</name>
    <message>
        <source>Photograph of the mat</source>
        <translation>Foto der Matte</translation>
    </message>
    <message>
        <source>Keys 1 to 4 choose a corner of the mat, arrow keys move it.</source>
        <translation>Tasten 1 bis 4 wählen eine Ecke der Matte, Pfeiltasten verschieben sie.</translation>
    </message>
    <message>
        <source>Find the scraps</source>
        <translation>Die Reste finden</translation>
    </message>
    <message>
        <source>Keep on the shelf</source>
        <translation>Im Regal behalten</translation>
    </message>
    <message>
        <source>Keep and lay on a mat</source>
        <translation>Behalten und auf eine Matte legen</translation>
    </message>
    <message>
        <source>Leave</source>
        <translation>Verlassen</translation>
    </message>
    <message>
        <source>These four corners do not go around the mat: mark them from the top left one clockwise.</source>
        <translation>Diese vier Ecken gehen nicht um die Matte herum: von der oberen linken an im Uhrzeigersinn markieren.</translation>
    </message>
    <message>
        <source>a photograph</source>
        <translation>ein Foto</translation>
    </message>
    <message>
        <source>Keep scraps from a photograph</source>
        <translation>Reste von einem Foto behalten</translation>
    </message>
    <message>
        <source>Looking for scraps…</source>
        <translation>Reste werden gesucht…</translation>
    </message>
    <message>
        <source>Drag the four rings onto the corners of the mat, then look for the scraps on it.</source>
        <translation>Die vier Ringe auf die Ecken der Matte ziehen, dann die Reste darauf suchen.</translation>
    </message>
    <message>
        <source>Nothing that differs from the mat is on it. Check the corners; light from the side helps.</source>
        <translation>Nichts liegt darauf, was sich von der Matte unterscheidet. Die Ecken prüfen; Licht von der Seite hilft.</translation>
    </message>
    <message>
        <source>%1 found: %2 %3</source>
        <translation>%1 gefunden: %2 %3</translation>
    </message>
    <message>
        <source>scrap</source>
        <translation>Rest</translation>
    </message>
    <message>
        <source>scraps</source>
        <translation>Reste</translation>
    </message>
</context>
<context>
    <name>dotlane::PlaceActions</name>
    <message>
        <source>Let what is dragged meet what lies around it, or not</source>
        <translation>Gezogenes an dem fangen lassen, was herum liegt, oder nicht</translation>
    </message>
    <message>
        <source>Let it meet the dots of the mat, too, or not</source>
        <translation>Auch an den Punkten der Matte fangen lassen, oder nicht</translation>
    </message>
    <message>
        <source>Take all guides away</source>
        <translation>Alle Hilfslinien wegnehmen</translation>
    </message>
    <message>
        <source>Hold the piece where it met something: it follows that from now on</source>
        <translation>Das Stück halten, wo es etwas traf: Es folgt dem von nun an</translation>
    </message>
    <message>
        <source>Let the piece go: it follows nothing any more</source>
        <translation>Das Stück loslassen: Es folgt nichts mehr</translation>
    </message>
    <message>
        <source>Hold three pieces or more as a row with equal gaps</source>
        <translation>Drei oder mehr Stücke als Reihe mit gleichen Lücken halten</translation>
    </message>
    <message>
        <source>Fit the smaller piece inside the larger one, with a margin that it keeps</source>
        <translation>Das kleinere Stück in das größere einpassen, mit einem Rand, der bleibt</translation>
    </message>
    <message>
        <source>What is dragged goes where it is put.</source>
        <translation>Gezogenes geht, wohin es gesetzt wird.</translation>
    </message>
    <message>
        <source>What is dragged meets what lies around it, and the mat&apos;s dots. Ctrl: not now.</source>
        <translation>Gezogenes fängt an dem, was herum liegt, und an den Punkten der Matte. Strg: jetzt nicht.</translation>
    </message>
    <message>
        <source>What is dragged meets what lies around it. Ctrl: not now.</source>
        <translation>Gezogenes fängt an dem, was herum liegt. Strg: jetzt nicht.</translation>
    </message>
    <message>
        <source>One piece is held at a time: click it, drag it to its place, press H.</source>
        <translation>Ein Stück wird auf einmal gehalten: anklicken, an seinen Platz ziehen, H drücken.</translation>
    </message>
    <message>
        <source>Drag the piece until it meets an edge or a middle, and press H while the lines show it.</source>
        <translation>Das Stück ziehen, bis es eine Kante oder Mitte trifft, und H drücken, solange die Linien es zeigen.</translation>
    </message>
    <message>
        <source>Hold</source>
        <translation>Halten</translation>
    </message>
    <message>
        <source>Held: %1. Shift+H lets it go.</source>
        <translation>Gehalten: %1. Umschalt+H löst es.</translation>
    </message>
    <message>
        <source>; </source>
        <translation>; </translation>
    </message>
    <message>
        <source>Hold as a row</source>
        <translation>Als Reihe halten</translation>
    </message>
    <message>
        <source>Fit inside</source>
        <translation>Einpassen</translation>
    </message>
    <message>
        <source>Let go</source>
        <translation>Loslassen</translation>
    </message>
</context>
<context>
    <name>dotlane::PortLink</name>
    <message>
        <source>Nothing answers on %1: is the cutter on, and the speed right?</source>
        <translation>An %1 antwortet nichts: Ist der Schneider an und das Tempo richtig?</translation>
    </message>
    <message>
        <source>The cutter on %1 does not answer any more; the work on the mat stays as it is.</source>
        <translation>Der Schneider an %1 antwortet nicht mehr; die Arbeit auf der Matte bleibt, wie sie ist.</translation>
    </message>
    <message>
        <source>%1 cannot be used as a port: %2</source>
        <translation>%1 lässt sich nicht als Anschluss benutzen: %2</translation>
    </message>
    <message>
        <source>%1 is driven by another window or program; end the run there first.</source>
        <translation>%1 wird von einem anderen Fenster oder Programm gesteuert; erst dort den Lauf beenden.</translation>
    </message>
    <message>
        <source>The line to %1 is dead: %2</source>
        <translation>Die Leitung zu %1 ist tot: %2</translation>
    </message>
    <message>
        <source>What comes from %1 makes no sense: is the speed right?</source>
        <translation>Was von %1 kommt, ergibt keinen Sinn: Ist das Tempo richtig?</translation>
    </message>
    <message>
        <source>The cutter on %1 answers &quot;%2&quot;, which is no place.</source>
        <translation>Der Schneider an %1 antwortet „%2“, was keine Stelle ist.</translation>
    </message>
    <message>
        <source>The job wants %1 in holder %2.</source>
        <translation>Der Auftrag will %1 in Halter %2.</translation>
    </message>
    <message>
        <source>The cutter takes nothing: it may still be moving. Switch it off before you reach in.</source>
        <translation>Der Schneider nimmt nichts an: Er bewegt sich vielleicht noch. Ausschalten, bevor Sie hineingreifen.</translation>
    </message>
    <message>
        <source>The cutter on %1 was unplugged; the work on the mat stays as it is.</source>
        <translation>Der Schneider an %1 wurde abgezogen; die Arbeit auf der Matte bleibt, wie sie ist.</translation>
    </message>
</context>
<context>
    <name>dotlane::Practice</name>
    <message>
        <source>Calibrate tools, stock and machine…</source>
        <translation>Werkzeuge, Material und Maschine kalibrieren…</translation>
    </message>
    <message>
        <source>Exercises on the simulated cutter…</source>
        <translation>Übungen auf dem simulierten Schneider…</translation>
    </message>
    <message>
        <source>Take over tools, stocks and machine of another project…</source>
        <translation>Werkzeuge, Materialien und Maschine eines anderen Projekts übernehmen…</translation>
    </message>
    <message>
        <source>Taken over here. Take it to %1 as well?</source>
        <translation>Hier übernommen. Auch nach %1 bringen?</translation>
    </message>
    <message>
        <source>Go back with it</source>
        <translation>Damit zurückgehen</translation>
    </message>
    <message>
        <source>Take over what was read</source>
        <translation>Übernehmen, was abgelesen wurde</translation>
    </message>
    <message>
        <source>Stay here</source>
        <translation>Hier bleiben</translation>
    </message>
    <message>
        <source>Take over the workshop of a project</source>
        <translation>Die Werkstatt eines Projekts übernehmen</translation>
    </message>
    <message>
        <source>Dot Lane projects (*.dotlane)</source>
        <translation>Dot-Lane-Projekte (*.dotlane)</translation>
    </message>
    <message>
        <source>Take over tools, stocks and machine</source>
        <translation>Werkzeuge, Materialien und Maschine übernehmen</translation>
    </message>
</context>
<context>
    <name>dotlane::PreferencesWindow</name>
    <message>
        <source>Preferences</source>
        <translation>Einstellungen</translation>
    </message>
    <message>
        <source>General</source>
        <translation>Allgemein</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Save all settings to a file…</source>
        <translation>Alle Einstellungen in eine Datei sichern…</translation>
    </message>
    <message>
        <source>Take settings from a file…</source>
        <translation>Einstellungen aus einer Datei nehmen…</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Settings (*.ini)</source>
        <translation>Einstellungen (*.ini)</translation>
    </message>
    <message>
        <source>Saved %1: it can be taken to another machine.</source>
        <translation>%1 gesichert: So kommen sie auf einen anderen Rechner.</translation>
    </message>
    <message>
        <source>%1 cannot be written.</source>
        <translation>%1 lässt sich nicht schreiben.</translation>
    </message>
    <message>
        <source>%1 holds no settings of Dot Lane; nothing was changed.</source>
        <translation>%1 enthält keine Einstellungen von Dot Lane; nichts wurde geändert.</translation>
    </message>
    <message>
        <source>Taken over.</source>
        <translation>Übernommen.</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Sprache</translation>
    </message>
    <message>
        <source>the system&apos;s</source>
        <translation>die des Systems</translation>
    </message>
    <message>
        <source>language</source>
        <translation>Sprache</translation>
    </message>
    <message>
        <source>The language changes when Dot Lane is started anew.</source>
        <translation>Die Sprache wechselt, wenn Dot Lane neu gestartet wird.</translation>
    </message>
    <message>
        <source>Look</source>
        <translation>Aussehen</translation>
    </message>
    <message>
        <source>light</source>
        <translation>hell</translation>
    </message>
    <message>
        <source>dark</source>
        <translation>dunkel</translation>
    </message>
    <message>
        <source>look</source>
        <translation>Aussehen</translation>
    </message>
    <message>
        <source>Colour of the mat on the bench</source>
        <translation>Farbe der Matte auf dem Werktisch</translation>
    </message>
    <message>
        <source>As the look has it</source>
        <translation>Wie das Aussehen</translation>
    </message>
    <message>
        <source>mat on the bench</source>
        <translation>Matte auf dem Werktisch</translation>
    </message>
    <message>
        <source>Step of the arrow keys</source>
        <translation>Schritt der Pfeiltasten</translation>
    </message>
    <message>
        <source>With Shift ten times as far, with Alt a tenth</source>
        <translation>Mit Umschalt zehnmal so weit, mit Alt ein Zehntel</translation>
    </message>
    <message>
        <source>arrow keys move by</source>
        <translation>Pfeiltasten bewegen um</translation>
    </message>
    <message>
        <source>When unsaved work is kept aside</source>
        <translation>Wann nicht gesicherte Arbeit aufbewahrt wird</translation>
    </message>
    <message>
        <source>at once</source>
        <translation>sofort</translation>
    </message>
    <message>
        <source>after 10 s</source>
        <translation>nach 10 s</translation>
    </message>
    <message>
        <source>after a minute</source>
        <translation>nach einer Minute</translation>
    </message>
    <message>
        <source>after five minutes</source>
        <translation>nach fünf Minuten</translation>
    </message>
    <message>
        <source>unsaved work is kept aside</source>
        <translation>nicht Gesichertes aufbewahren</translation>
    </message>
    <message>
        <source>New projects</source>
        <translation>Neue Projekte</translation>
    </message>
    <message>
        <source>Unit of new projects</source>
        <translation>Einheit neuer Projekte</translation>
    </message>
    <message>
        <source>Millimetres</source>
        <translation>Millimeter</translation>
    </message>
    <message>
        <source>Inches</source>
        <translation>Zoll</translation>
    </message>
    <message>
        <source>unit</source>
        <translation>Einheit</translation>
    </message>
    <message>
        <source>Project whose tools, stocks and machine new projects begin with</source>
        <translation>Projekt, mit dessen Werkzeugen, Materialien und Maschine neue Projekte beginnen</translation>
    </message>
    <message>
        <source>What comes with Dot Lane</source>
        <translation>Was mit Dot Lane kommt</translation>
    </message>
    <message>
        <source>tools, stocks, machine</source>
        <translation>Werkzeuge, Material, Maschine</translation>
    </message>
    <message>
        <source>New projects begin with the workshop of</source>
        <translation>Neue Projekte beginnen mit der Werkstatt von</translation>
    </message>
    <message>
        <source>Dot Lane projects (*.dotlane)</source>
        <translation>Dot-Lane-Projekte (*.dotlane)</translation>
    </message>
    <message>
        <source>Find an action</source>
        <translation>Eine Aktion finden</translation>
    </message>
    <message>
        <source>Actions and their keys</source>
        <translation>Aktionen und ihre Tasten</translation>
    </message>
    <message>
        <source>action</source>
        <translation>Aktion</translation>
    </message>
    <message>
        <source>keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>New keys of the chosen action</source>
        <translation>Neue Tasten der gewählten Aktion</translation>
    </message>
    <message>
        <source>As it was</source>
        <translation>Wie es war</translation>
    </message>
    <message>
        <source>No keys</source>
        <translation>Keine Tasten</translation>
    </message>
    <message>
        <source>Choose an action, then press its new keys in the field.</source>
        <translation>Eine Aktion wählen, dann im Feld ihre neuen Tasten drücken.</translation>
    </message>
    <message>
        <source>%1 has these keys, or begins with them: %2.</source>
        <translation>%1 hat diese Tasten oder beginnt mit ihnen: %2.</translation>
    </message>
    <message>
        <source>Take them from it</source>
        <translation>Ihr wegnehmen</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>no keys</source>
        <translation>keine Tasten</translation>
    </message>
    <message>
        <source>Choose…</source>
        <translation>Wählen…</translation>
    </message>
    <message>
        <source>Take them from a project…</source>
        <translation>Von einem Projekt nehmen…</translation>
    </message>
</context>
<context>
    <name>dotlane::ProjectDesk</name>
    <message>
        <source>The projects could not be looked through: %1</source>
        <translation>Die Projekte ließen sich nicht durchsehen: %1</translation>
    </message>
    <message>
        <source>Projects cannot be searched: %1</source>
        <translation>Projekte lassen sich nicht durchsuchen: %1</translation>
    </message>
    <message>
        <source>Projects could not be looked through: %1</source>
        <translation>Projekte ließen sich nicht durchsehen: %1</translation>
    </message>
</context>
<context>
    <name>dotlane::ProjectTiles</name>
    <message>
        <source>cannot be read</source>
        <translation>nicht lesbar</translation>
    </message>
    <message>
        <source>nothing in it</source>
        <translation>nichts darin</translation>
    </message>
    <message>
        <source>piece</source>
        <translation>Stück</translation>
    </message>
    <message>
        <source>pieces</source>
        <translation>Stücke</translation>
    </message>
    <message>
        <source>Projects that were found</source>
        <translation>Gefundene Projekte</translation>
    </message>
</context>
<context>
    <name>dotlane::ProjectsWindow</name>
    <message>
        <source>Projects</source>
        <translation>Projekte</translation>
    </message>
    <message>
        <source>Find projects by words and sizes</source>
        <translation>Projekte nach Wörtern und Größen finden</translation>
    </message>
    <message>
        <source>Name, piece, words on it, stock or size: star kraft, 5 x 7 in</source>
        <translation>Name, Stück, Wörter darauf, Material oder Größe: Stern Kraft, 5 x 7 in</translation>
    </message>
    <message>
        <source>Folders</source>
        <translation>Ordner</translation>
    </message>
    <message>
        <source>Which folders are looked through for projects</source>
        <translation>Welche Ordner nach Projekten durchgesehen werden</translation>
    </message>
    <message>
        <source>Choose a project: what is in it shows here, to be opened or to be brought into the one that is open.</source>
        <translation>Ein Projekt wählen: Was darin ist, erscheint hier, zum Öffnen oder um es in das offene zu holen.</translation>
    </message>
    <message>
        <source>Open</source>
        <translation>Öffnen</translation>
    </message>
    <message>
        <source>In a window of its own</source>
        <translation>In eigenem Fenster</translation>
    </message>
    <message>
        <source>Pieces</source>
        <translation>Stücke</translation>
    </message>
    <message>
        <source>Pieces of the project</source>
        <translation>Stücke des Projekts</translation>
    </message>
    <message>
        <source>project</source>
        <translation>Projekt</translation>
    </message>
    <message>
        <source>projects</source>
        <translation>Projekte</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source> · looking through folders</source>
        <translation> · Ordner werden durchgesehen</translation>
    </message>
    <message>
        <source>No project is known yet. What is opened or saved here is known from then on; so is what lies in folders that you add under Folders.</source>
        <translation>Noch ist kein Projekt bekannt. Was hier geöffnet oder gesichert wird, ist von da an bekannt; ebenso, was in Ordnern liegt, die unter Ordner dazukommen.</translation>
    </message>
    <message>
        <source>No project has all of that in it. Each word begins a word of a name, of a piece, of what is lettered or of a stock; a size is that of a project or of a piece in it, such as 105 x 148 mm, 5 x 7 in or 90 mm.</source>
        <translation>Kein Projekt hat das alles in sich. Jedes Wort beginnt ein Wort eines Namens, eines Stücks, eines Schriftzugs oder eines Materials; eine Größe ist die eines Projekts oder eines Stücks darin, etwa 105 x 148 mm, 5 x 7 in oder 90 mm.</translation>
    </message>
    <message>
        <source>%1
changed %2</source>
        <translation>%1
geändert %2</translation>
    </message>
    <message>
        <source>It cannot be read: %1</source>
        <translation>Es ist nicht lesbar: %1</translation>
    </message>
    <message>
        <source>Nothing is in it.</source>
        <translation>Nichts ist darin.</translation>
    </message>
    <message>
        <source>Bring pieces into %1</source>
        <translation>Stücke nach %1 holen</translation>
    </message>
    <message>
        <source>Bring %1 into %2</source>
        <translation>%1 nach %2 holen</translation>
    </message>
    <message>
        <source>piece</source>
        <translation>Stück</translation>
    </message>
    <message>
        <source>pieces</source>
        <translation>Stücke</translation>
    </message>
    <message>
        <source>Bring pieces over</source>
        <translation>Stücke herüberholen</translation>
    </message>
    <message>
        <source>%1 came from %2.</source>
        <translation>%1 kamen aus %2.</translation>
    </message>
    <message>
        <source>No folder is looked through</source>
        <translation>Kein Ordner wird durchgesehen</translation>
    </message>
    <message>
        <source>Looked through</source>
        <translation>Durchgesehen</translation>
    </message>
    <message>
        <source>Click it to look there no more</source>
        <translation>Anklicken, um dort nicht mehr zu suchen</translation>
    </message>
    <message>
        <source>Look through a folder…</source>
        <translation>Einen Ordner durchsehen…</translation>
    </message>
    <message>
        <source>Look through a folder for projects</source>
        <translation>Einen Ordner nach Projekten durchsehen</translation>
    </message>
</context>
<context>
    <name>dotlane::ReadingPicture</name>
    <message>
        <source>Where the cross is seen: click, or move it by the arrow keys</source>
        <translation>Wo das Kreuz zu sehen ist: klicken oder mit den Pfeiltasten verschieben</translation>
    </message>
</context>
<context>
    <name>dotlane::RecipePanel</name>
    <message>
        <source>Recipe</source>
        <translation>Rezept</translation>
    </message>
    <message>
        <source>width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>lengths in recipes grow along</source>
        <translation>Längen in Rezepten wachsen mit</translation>
    </message>
    <message>
        <source>Off: an offset of 3 mm stays 3 mm, whatever the size. On: lengths typed in steps are sized as well.</source>
        <translation>Aus: Ein Versatz von 3 mm bleibt 3 mm, wie groß auch immer. An: Auch Längen in Schritten ändern ihre Größe.</translation>
    </message>
    <message>
        <source>Keep proportions</source>
        <translation>Seitenverhältnis behalten</translation>
    </message>
    <message>
        <source>Free proportions</source>
        <translation>Seitenverhältnis freigeben</translation>
    </message>
    <message>
        <source>Add a step</source>
        <translation>Einen Schritt hinzufügen</translation>
    </message>
    <message>
        <source>Freeze</source>
        <translation>Einfrieren</translation>
    </message>
    <message>
        <source>Make plain lines of it; the recipe is gone</source>
        <translation>Einfache Linien daraus machen; das Rezept ist fort</translation>
    </message>
    <message>
        <source>Distance from the left edge of the mat</source>
        <translation>Abstand vom linken Rand der Matte</translation>
    </message>
    <message>
        <source>from left</source>
        <translation>von links</translation>
    </message>
    <message>
        <source>Distance from the top edge of the mat</source>
        <translation>Abstand vom oberen Rand der Matte</translation>
    </message>
    <message>
        <source>from top</source>
        <translation>von oben</translation>
    </message>
    <message>
        <source>Stock of the piece</source>
        <translation>Material des Stücks</translation>
    </message>
    <message>
        <source>stock</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>Turn by degrees, counter-clockwise</source>
        <translation>Drehen, in Grad gegen den Uhrzeigersinn</translation>
    </message>
    <message>
        <source>Turn</source>
        <translation>Drehen</translation>
    </message>
    <message>
        <source>turn by</source>
        <translation>drehen um</translation>
    </message>
    <message>
        <source>Change the stock</source>
        <translation>Das Material ändern</translation>
    </message>
    <message>
        <source>Role: %1</source>
        <translation>Rolle: %1</translation>
    </message>
    <message>
        <source>Make it %1</source>
        <translation>Rolle: %1</translation>
    </message>
    <message>
        <source>with</source>
        <translation>mit</translation>
    </message>
    <message>
        <source>Tool of the selected lines</source>
        <translation>Werkzeug der gewählten Linien</translation>
    </message>
    <message>
        <source>repeats</source>
        <translation>Wiederholungen</translation>
    </message>
    <message>
        <source>Times the tool goes over the lines; 0 = as the stock says</source>
        <translation>Wie oft das Werkzeug über die Linien geht; 0 = wie das Material sagt</translation>
    </message>
    <message>
        <source>times</source>
        <translation>-mal</translation>
    </message>
    <message>
        <source>as stock</source>
        <translation>wie Material</translation>
    </message>
    <message>
        <source>0 = as the stock says</source>
        <translation>0 = wie das Material sagt</translation>
    </message>
    <message>
        <source>stroke by stroke</source>
        <translation>Strich für Strich</translation>
    </message>
    <message>
        <source>Repeats go over each stroke at once, without lifting, instead of the whole pass again</source>
        <translation>Wiederholungen gehen gleich über jeden Strich, ohne abzuheben, statt den ganzen Durchgang noch einmal</translation>
    </message>
    <message>
        <source>Repeat stroke by stroke</source>
        <translation>Strich für Strich wiederholen</translation>
    </message>
    <message>
        <source>Repeat pass by pass</source>
        <translation>Durchgang für Durchgang wiederholen</translation>
    </message>
    <message>
        <source>stands up by</source>
        <translation>steht hoch um</translation>
    </message>
    <message>
        <source>How high what the guide outlines stands up from the sheet; 0 = it does not</source>
        <translation>Wie hoch das Umrissene aus dem Bogen steht; 0 = gar nicht</translation>
    </message>
    <message>
        <source>flat</source>
        <translation>flach</translation>
    </message>
    <message>
        <source>A handle, rim or hook of a blank: it must not come under the bar, nor under a roller</source>
        <translation>Ein Griff, Rand oder Haken eines Rohlings: Er darf nicht unter den Balken oder eine Rolle kommen</translation>
    </message>
    <message>
        <source>Say what stands up</source>
        <translation>Sagen, was hochsteht</translation>
    </message>
    <message>
        <source>Change the tool</source>
        <translation>Das Werkzeug ändern</translation>
    </message>
    <message>
        <source>Change the repeats</source>
        <translation>Die Wiederholungen ändern</translation>
    </message>
    <message>
        <source>Confirm the roles</source>
        <translation>Die Rollen bestätigen</translation>
    </message>
    <message>
        <source>Lines by colour and layer</source>
        <translation>Linien nach Farbe und Ebene</translation>
    </message>
    <message>
        <source>Move</source>
        <translation>Verschieben</translation>
    </message>
    <message>
        <source>Nothing here yet. Bring in a drawing with Ctrl+I, or drop a file on the bench.</source>
        <translation>Noch nichts hier. Mit Strg+I eine Zeichnung hereinholen oder eine Datei auf den Werktisch ziehen.</translation>
    </message>
    <message>
        <source>Click a piece on the bench or in the ledger to see its size, its stock and what its lines are for. Click it again to pick a single line.</source>
        <translation>Ein Stück auf dem Werktisch oder im Verzeichnis anklicken, um seine Größe, sein Material und den Zweck seiner Linien zu sehen. Noch einmal klicken, um eine einzelne Linie zu wählen.</translation>
    </message>
    <message>
        <source>piece</source>
        <translation>Stück</translation>
    </message>
    <message>
        <source>pieces</source>
        <translation>Stücke</translation>
    </message>
    <message>
        <source>Proportions are kept</source>
        <translation>Seitenverhältnis bleibt</translation>
    </message>
    <message>
        <source>Proportions are free</source>
        <translation>Seitenverhältnis ist frei</translation>
    </message>
    <message>
        <source>several stocks</source>
        <translation>mehrere Materialien</translation>
    </message>
    <message>
        <source>Combine</source>
        <translation>Verbinden</translation>
    </message>
    <message>
        <source>Join</source>
        <translation>Vereinen</translation>
    </message>
    <message>
        <source>Cut away</source>
        <translation>Wegschneiden</translation>
    </message>
    <message>
        <source>Overlap</source>
        <translation>Schnittmenge</translation>
    </message>
    <message>
        <source>Divide</source>
        <translation>Teilen</translation>
    </message>
    <message>
        <source>Trim under</source>
        <translation>Darunter beschneiden</translation>
    </message>
    <message>
        <source>Group</source>
        <translation>Gruppieren</translation>
    </message>
    <message>
        <source>Align</source>
        <translation>Ausrichten</translation>
    </message>
    <message>
        <source>Left</source>
        <translation>Links</translation>
    </message>
    <message>
        <source>Centre</source>
        <translation>Mitte</translation>
    </message>
    <message>
        <source>Right</source>
        <translation>Rechts</translation>
    </message>
    <message>
        <source>Top</source>
        <translation>Oben</translation>
    </message>
    <message>
        <source>Middle</source>
        <translation>Mitte</translation>
    </message>
    <message>
        <source>Bottom</source>
        <translation>Unten</translation>
    </message>
    <message>
        <source>Mirror</source>
        <translation>Spiegeln</translation>
    </message>
    <message>
        <source>Left to right</source>
        <translation>Links gegen rechts</translation>
    </message>
    <message>
        <source>Top to bottom</source>
        <translation>Oben gegen unten</translation>
    </message>
    <message>
        <source>Even gaps</source>
        <translation>Gleiche Lücken</translation>
    </message>
    <message>
        <source>Across</source>
        <translation>Quer</translation>
    </message>
    <message>
        <source>Down</source>
        <translation>Hinunter</translation>
    </message>
    <message>
        <source>Line %1 is for</source>
        <translation>Wofür Linie %1 ist</translation>
    </message>
    <message>
        <source>%1 lines are for</source>
        <translation>Wofür %1 Linien sind</translation>
    </message>
    <message>
        <source>%1 (cannot %2)</source>
        <translation>%1 (kann nicht %2)</translation>
    </message>
    <message>
        <source>several tools</source>
        <translation>mehrere Werkzeuge</translation>
    </message>
    <message>
        <source>several roles</source>
        <translation>mehrere Rollen</translation>
    </message>
    <message>
        <source>no tool</source>
        <translation>kein Werkzeug</translation>
    </message>
    <message>
        <source>Confirm the guessed role</source>
        <translation>Die geratene Rolle bestätigen</translation>
    </message>
    <message>
        <source>Confirm %1 guessed roles</source>
        <translation>%1 geratene Rollen bestätigen</translation>
    </message>
    <message>
        <source>Select these lines</source>
        <translation>Diese Linien wählen</translation>
    </message>
    <message>
        <source>line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>lines</source>
        <translation>Linien</translation>
    </message>
    <message>
        <source>Layer %1</source>
        <translation>Ebene %1</translation>
    </message>
</context>
<context>
    <name>dotlane::RecipeSteps</name>
    <message>
        <source>Plain lines</source>
        <translation>Einfache Linien</translation>
    </message>
    <message>
        <source>Brought in</source>
        <translation>Hereingeholt</translation>
    </message>
    <message>
        <source> (off)</source>
        <translation> (aus)</translation>
    </message>
    <message>
        <source>Off</source>
        <translation>Aus</translation>
    </message>
    <message>
        <source>On</source>
        <translation>An</translation>
    </message>
    <message>
        <source>Pass this step over for now</source>
        <translation>Diesen Schritt vorerst übergehen</translation>
    </message>
    <message>
        <source>Take this step again</source>
        <translation>Diesen Schritt wieder nehmen</translation>
    </message>
    <message>
        <source>Switch a step off</source>
        <translation>Einen Schritt ausschalten</translation>
    </message>
    <message>
        <source>Switch a step on</source>
        <translation>Einen Schritt einschalten</translation>
    </message>
    <message>
        <source>Up</source>
        <translation>Hinauf</translation>
    </message>
    <message>
        <source>Take this step earlier</source>
        <translation>Diesen Schritt früher tun</translation>
    </message>
    <message>
        <source>Move a step</source>
        <translation>Einen Schritt verschieben</translation>
    </message>
    <message>
        <source>Down</source>
        <translation>Hinunter</translation>
    </message>
    <message>
        <source>Take this step later</source>
        <translation>Diesen Schritt später tun</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Take this step out of the recipe</source>
        <translation>Diesen Schritt aus dem Rezept nehmen</translation>
    </message>
    <message>
        <source>Remove a step</source>
        <translation>Einen Schritt entfernen</translation>
    </message>
    <message>
        <source>Crop the picture</source>
        <translation>Das Bild zuschneiden</translation>
    </message>
    <message>
        <source>Change a shape</source>
        <translation>Eine Form ändern</translation>
    </message>
    <message>
        <source>Change a step</source>
        <translation>Einen Schritt ändern</translation>
    </message>
    <message>
        <source>being worked out…</source>
        <translation>wird ausgerechnet…</translation>
    </message>
    <message>
        <source>passed over</source>
        <translation>übergangen</translation>
    </message>
    <message>
        <source>the first step says which</source>
        <translation>der erste Schritt sagt es</translation>
    </message>
    <message>
        <source>units taken as %1</source>
        <translation>Einheit gilt als %1</translation>
    </message>
    <message>
        <source>size assumed at %1 per inch</source>
        <translation>Größe mit %1 je Zoll angenommen</translation>
    </message>
    <message>
        <source>smallest bit %1</source>
        <translation>kleinstes Stückchen %1</translation>
    </message>
    <message>
        <source>Pick a colour</source>
        <translation>Eine Farbe aufnehmen</translation>
    </message>
</context>
<context>
    <name>dotlane::RunController</name>
    <message>
        <source>It was broken off when the program ended. Nothing moves before you go on.</source>
        <translation>Er wurde abgebrochen, als das Programm endete. Nichts bewegt sich, bevor Sie fortfahren.</translation>
    </message>
    <message>
        <source>A job is running on the cutter</source>
        <translation>Ein Auftrag läuft auf dem Schneider</translation>
    </message>
    <message>
        <source>No sheet that is cut has a free corner of 12 mm for a test.</source>
        <translation>Kein Bogen, der geschnitten wird, hat eine freie Ecke von 12 mm für einen Test.</translation>
    </message>
    <message>
        <source>Not every sheet has a free corner of 12 mm: some are not tested.</source>
        <translation>Nicht jeder Bogen hat eine freie Ecke von 12 mm: Einige werden nicht getestet.</translation>
    </message>
</context>
<context>
    <name>dotlane::RunPanel</name>
    <message>
        <source>a sheet of %1: %2</source>
        <translation>ein Bogen von %1: %2</translation>
    </message>
    <message>
        <source>what is left of it: %1</source>
        <translation>was davon bleibt: %1</translation>
    </message>
    <message>
        <source>wear of %1: %2</source>
        <translation>Verschleiß von %1: %2</translation>
    </message>
    <message>
        <source>work: %1</source>
        <translation>Arbeit: %1</translation>
    </message>
    <message>
        <source>Run</source>
        <translation>Lauf</translation>
    </message>
    <message>
        <source>Then check</source>
        <translation>Dann prüfen</translation>
    </message>
    <message>
        <source>In the holders now</source>
        <translation>Jetzt in den Haltern</translation>
    </message>
    <message>
        <source>What is in holder %1 now</source>
        <translation>Was jetzt in Halter %1 ist</translation>
    </message>
    <message>
        <source>empty</source>
        <translation>leer</translation>
    </message>
    <message>
        <source>Nothing to run yet: give lines a role and a tool first.</source>
        <translation>Noch nichts laufen zu lassen: erst Linien eine Rolle und ein Werkzeug geben.</translation>
    </message>
    <message>
        <source>Practise with exercises…</source>
        <translation>Mit Übungen üben…</translation>
    </message>
    <message>
        <source>Before you start</source>
        <translation>Bevor es losgeht</translation>
    </message>
    <message>
        <source>It costs %1.</source>
        <translation>Es kostet %1.</translation>
    </message>
    <message>
        <source>Save what is printed…</source>
        <translation>Sichern, was gedruckt wird…</translation>
    </message>
    <message>
        <source>Save the job sheet…</source>
        <translation>Das Arbeitsblatt sichern…</translation>
    </message>
    <message>
        <source>%1 in Second look must be settled first, or parts will be missing or spoiled.</source>
        <translation>%1 im Zweiten Blick muss geklärt werden, sonst fehlen Teile oder werden verdorben.</translation>
    </message>
    <message>
        <source>finding</source>
        <translation>Befund</translation>
    </message>
    <message>
        <source>findings</source>
        <translation>Befunde</translation>
    </message>
    <message>
        <source>Test cut first</source>
        <translation>Erst ein Testschnitt</translation>
    </message>
    <message>
        <source>Exercises…</source>
        <translation>Übungen…</translation>
    </message>
    <message>
        <source>Speed of the rehearsal</source>
        <translation>Tempo des Probelaufs</translation>
    </message>
    <message>
        <source>at the speed of the machine</source>
        <translation>im Tempo der Maschine</translation>
    </message>
    <message>
        <source>8 times as fast</source>
        <translation>8-mal so schnell</translation>
    </message>
    <message>
        <source>60 times as fast</source>
        <translation>60-mal so schnell</translation>
    </message>
    <message>
        <source>as fast as it can</source>
        <translation>so schnell es geht</translation>
    </message>
    <message>
        <source>What goes wrong in the rehearsal</source>
        <translation>Was im Probelauf schiefgeht</translation>
    </message>
    <message>
        <source>with everything as it should be</source>
        <translation>alles, wie es sein soll</translation>
    </message>
    <message>
        <source>what if tools land a little off?</source>
        <translation>was, wenn Werkzeuge etwas daneben aufsetzen?</translation>
    </message>
    <message>
        <source>what if the mat slips?</source>
        <translation>was, wenn die Matte rutscht?</translation>
    </message>
    <message>
        <source>what if a pen runs dry?</source>
        <translation>was, wenn ein Stift austrocknet?</translation>
    </message>
    <message>
        <source>what if a blade goes blunt?</source>
        <translation>was, wenn eine Klinge stumpf wird?</translation>
    </message>
    <message>
        <source>what if two tools are in each other&apos;s holders?</source>
        <translation>was, wenn zwei Werkzeuge vertauscht sind?</translation>
    </message>
    <message>
        <source>what if the head is blocked?</source>
        <translation>was, wenn der Kopf blockiert ist?</translation>
    </message>
    <message>
        <source>what if the line goes dead?</source>
        <translation>was, wenn die Leitung abbricht?</translation>
    </message>
    <message>
        <source>what if the power fails?</source>
        <translation>was, wenn der Strom ausfällt?</translation>
    </message>
    <message>
        <source>This moves a real machine. Rehearse the job first; stay with it, and know where its switch is.</source>
        <translation>Dies bewegt eine wirkliche Maschine. Den Auftrag erst proben; dabeibleiben und wissen, wo ihr Schalter ist.</translation>
    </message>
    <message>
        <source>Run on the cutter</source>
        <translation>Auf dem Schneider laufen lassen</translation>
    </message>
    <message>
        <source>Write the file…</source>
        <translation>Die Datei schreiben…</translation>
    </message>
    <message>
        <source>Rehearse anyway</source>
        <translation>Trotzdem proben</translation>
    </message>
    <message>
        <source>Rehearse on the simulated cutter</source>
        <translation>Auf dem simulierten Schneider proben</translation>
    </message>
    <message>
        <source>How far the run is</source>
        <translation>Wie weit der Lauf ist</translation>
    </message>
    <message>
        <source>Go on</source>
        <translation>Fortfahren</translation>
    </message>
    <message>
        <source>Hold</source>
        <translation>Halten</translation>
    </message>
    <message>
        <source>Cancel the run</source>
        <translation>Den Lauf abbrechen</translation>
    </message>
    <message>
        <source>Leave this pass out</source>
        <translation>Diesen Durchgang auslassen</translation>
    </message>
    <message>
        <source>This pass once more</source>
        <translation>Diesen Durchgang noch einmal</translation>
    </message>
    <message>
        <source>Nothing more is sent: the journal of the run cannot be written (%1). Make room on the disk; it goes on by itself.</source>
        <translation>Es wird nichts mehr gesendet: Das Tagebuch des Laufs ist nicht beschreibbar (%1). Platz auf der Platte schaffen; dann geht es von selbst weiter.</translation>
    </message>
    <message>
        <source>Nothing here keeps the desktop awake: switch its sleep off for as long as the run takes.</source>
        <translation>Nichts hält hier den Rechner wach: seinen Ruhezustand ausschalten, solange der Lauf dauert.</translation>
    </message>
    <message>
        <source>Do not unload the mat between passes: what is drawn and what is cut must land in register.</source>
        <translation>Die Matte zwischen den Durchgängen nicht herausnehmen: Gezeichnetes und Geschnittenes müssen aufeinander passen.</translation>
    </message>
    <message>
        <source>Held</source>
        <translation>Gehalten</translation>
    </message>
    <message>
        <source>%1 left</source>
        <translation>noch %1</translation>
    </message>
    <message>
        <source>Pass %1 of %2: %3 with %4, holder %5</source>
        <translation>Durchgang %1 von %2: %3 mit %4, Halter %5</translation>
    </message>
    <message>
        <source>pause %1 of %2</source>
        <translation>Pause %1 von %2</translation>
    </message>
    <message>
        <source>Hands needed</source>
        <translation>Hände gefragt</translation>
    </message>
    <message>
        <source>Ink has to dry</source>
        <translation>Tinte muss trocknen</translation>
    </message>
    <message>
        <source>Loaded, go on</source>
        <translation>Eingesetzt, fortfahren</translation>
    </message>
    <message>
        <source>Dry, go on</source>
        <translation>Trocken, fortfahren</translation>
    </message>
    <message>
        <source>Then it runs to the end, about %1.</source>
        <translation>Danach läuft es bis zum Ende, etwa %1.</translation>
    </message>
    <message>
        <source>Then hands are free for about %1.</source>
        <translation>Danach sind die Hände etwa %1 frei.</translation>
    </message>
    <message>
        <source>dry in %1</source>
        <translation>trocken in %1</translation>
    </message>
    <message>
        <source>dry now</source>
        <translation>jetzt trocken</translation>
    </message>
    <message>
        <source>done</source>
        <translation>fertig</translation>
    </message>
    <message>
        <source>cancelled</source>
        <translation>abgebrochen</translation>
    </message>
    <message>
        <source>failed</source>
        <translation>gescheitert</translation>
    </message>
    <message>
        <source>The test is cut</source>
        <translation>Der Testschnitt ist gemacht</translation>
    </message>
    <message>
        <source>The rehearsal is done</source>
        <translation>Der Probelauf ist fertig</translation>
    </message>
    <message>
        <source>The run is done</source>
        <translation>Der Lauf ist fertig</translation>
    </message>
    <message>
        <source>The run was cancelled</source>
        <translation>Der Lauf wurde abgebrochen</translation>
    </message>
    <message>
        <source>The run was broken off</source>
        <translation>Der Lauf brach ab</translation>
    </message>
    <message>
        <source>The run failed</source>
        <translation>Der Lauf ist gescheitert</translation>
    </message>
    <message>
        <source>Leave the mat where it is. Lift the square and its triangle: both should come off clean, the mat below unmarked. If not, change force or depth at Passes and test again.</source>
        <translation>Die Matte lassen, wo sie ist. Das Quadrat und sein Dreieck abheben: Beide sollen sauber abgehen, die Matte darunter ohne Spur. Sonst Kraft oder Tiefe bei Durchgänge ändern und noch einmal testen.</translation>
    </message>
    <message>
        <source>running time</source>
        <translation>Laufzeit</translation>
    </message>
    <message>
        <source>as planned</source>
        <translation>wie geplant</translation>
    </message>
    <message>
        <source>pauses</source>
        <translation>Pausen</translation>
    </message>
    <message>
        <source>Take what was used off the shelf</source>
        <translation>Verbrauchtes aus dem Regal nehmen</translation>
    </message>
    <message>
        <source>Sheet %1 lay %2 and %3° from its place; its marks agree within %4.</source>
        <translation>Bogen %1 lag %2 und %3° neben seiner Stelle; seine Marken stimmen auf %4 überein.</translation>
    </message>
    <message>
        <source>The bench shows what each tool marked, at the width of its tip.</source>
        <translation>Der Werktisch zeigt, was jedes Werkzeug hinterließ, in der Breite seiner Spitze.</translation>
    </message>
    <message>
        <source>Set up the run itself</source>
        <translation>Den Lauf selbst einrichten</translation>
    </message>
    <message>
        <source>Set up another run</source>
        <translation>Noch einen Lauf einrichten</translation>
    </message>
    <message>
        <source>How did it come out?</source>
        <translation>Wie ist es geworden?</translation>
    </message>
    <message>
        <source>Held against the plan</source>
        <translation>Gegen den Plan gehalten</translation>
    </message>
    <message>
        <source>strokes made once</source>
        <translation>einmal gemachte Striche</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>not made whole</source>
        <translation>nicht ganz gemacht</translation>
    </message>
    <message>
        <source>made again</source>
        <translation>noch einmal gemacht</translation>
    </message>
    <message>
        <source>farthest off</source>
        <translation>am weitesten daneben</translation>
    </message>
    <message>
        <source>off in the mean</source>
        <translation>im Mittel daneben</translation>
    </message>
    <message>
        <source>corners rounded</source>
        <translation>Ecken gerundet</translation>
    </message>
    <message>
        <source>not cut through</source>
        <translation>nicht durchgeschnitten</translation>
    </message>
    <message>
        <source>cut into the mat</source>
        <translation>in die Matte geschnitten</translation>
    </message>
    <message>
        <source>gaps</source>
        <translation>Lücken</translation>
    </message>
    <message>
        <source>It is farthest off in pass %1, %2 with %3: the ring on the bench.</source>
        <translation>Am weitesten daneben ist es in Durchgang %1, %2 mit %3: der Ring auf dem Werktisch.</translation>
    </message>
    <message>
        <source>Show it</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>It can go on</source>
        <translation>Er kann weitergehen</translation>
    </message>
    <message>
        <source>The cutter does not know how far it came. Look at the work: the last stroke that is made for certain is number %1, and up to number %2 may be.</source>
        <translation>Der Schneider weiß nicht, wie weit er kam. Das Werkstück ansehen: Der letzte sicher gemachte Strich ist Nummer %1, bis Nummer %2 können gemacht sein.</translation>
    </message>
    <message>
        <source>Strokes that are made</source>
        <translation>Striche, die gemacht sind</translation>
    </message>
    <message>
        <source>made: </source>
        <translation>gemacht: </translation>
    </message>
    <message>
        <source>%1 of %2 strokes are made. It goes on at the exact place; nothing is made twice.</source>
        <translation>%1 von %2 Strichen sind gemacht. Es geht an der genauen Stelle weiter; nichts wird zweimal gemacht.</translation>
    </message>
    <message>
        <source>Leave the mat where it is, with what lies on it, and load what was loaded: only then is the rest in register.</source>
        <translation>Die Matte lassen, wo sie ist, mit dem, was darauf liegt, und einsetzen, was eingesetzt war: Nur dann passt der Rest dazu.</translation>
    </message>
    <message>
        <source>The mat was taken out</source>
        <translation>Die Matte wurde herausgenommen</translation>
    </message>
</context>
<context>
    <name>dotlane::RunTiles</name>
    <message>
        <source>%1, %2: %3%4</source>
        <translation>%1, %2: %3%4</translation>
    </message>
</context>
<context>
    <name>dotlane::SecondLook</name>
    <message>
        <source>Second look</source>
        <translation>Zweiter Blick</translation>
    </message>
    <message>
        <source>Speaks up about</source>
        <translation>Spricht an</translation>
    </message>
    <message>
        <source>Cut bits smaller than this</source>
        <translation>Geschnittene Stückchen kleiner als dies</translation>
    </message>
    <message>
        <source>mm²</source>
        <translation>mm²</translation>
    </message>
    <message>
        <source>Strips narrower than this</source>
        <translation>Streifen schmaler als dies</translation>
    </message>
    <message>
        <source>bits smaller than</source>
        <translation>Stückchen kleiner als</translation>
    </message>
    <message>
        <source>strips narrower than</source>
        <translation>Streifen schmaler als</translation>
    </message>
    <message>
        <source>Openings of stencils narrower than this</source>
        <translation>Öffnungen von Schablonen schmaler als dies</translation>
    </message>
    <message>
        <source>What your brush or sponge still fills; 0: do not look.</source>
        <translation>Was Ihr Pinsel oder Schwamm noch füllt; 0: nicht hinsehen.</translation>
    </message>
    <message>
        <source>Edges of stencils nearer than this</source>
        <translation>Ränder von Schablonen näher als dies</translation>
    </message>
    <message>
        <source>What paint needs around the openings; 0: do not look.</source>
        <translation>Was Farbe um die Öffnungen braucht; 0: nicht hinsehen.</translation>
    </message>
    <message>
        <source>openings narrower than</source>
        <translation>Öffnungen schmaler als</translation>
    </message>
    <message>
        <source>stencil edges within</source>
        <translation>Schablonenränder unter</translation>
    </message>
    <message>
        <source>Change what is spoken of</source>
        <translation>Ändern, was angesprochen wird</translation>
    </message>
    <message>
        <source>all clear</source>
        <translation>alles klar</translation>
    </message>
    <message>
        <source>finding</source>
        <translation>Befund</translation>
    </message>
    <message>
        <source>findings</source>
        <translation>Befunde</translation>
    </message>
    <message>
        <source>Nothing to look at yet.</source>
        <translation>Noch nichts anzusehen.</translation>
    </message>
    <message>
        <source>Nothing stands out. Still: test on a scrap of the same stock first, and keep to the machine&apos;s manual.</source>
        <translation>Nichts fällt auf. Trotzdem: erst auf einem Rest desselben Materials testen und sich an das Handbuch der Maschine halten.</translation>
    </message>
    <message>
        <source>Must be settled</source>
        <translation>Muss geklärt werden</translation>
    </message>
    <message>
        <source>Look here</source>
        <translation>Hier hinsehen</translation>
    </message>
    <message>
        <source>Good to know</source>
        <translation>Gut zu wissen</translation>
    </message>
    <message>
        <source>Show me</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>and %1 more</source>
        <translation>und %1 mehr</translation>
    </message>
    <message>
        <source>Why?</source>
        <translation>Warum?</translation>
    </message>
    <message>
        <source>It speaks when %1, because %2.</source>
        <translation>Er spricht, wenn %1, weil %2.</translation>
    </message>
    <message>
        <source>Common practice or our own measure; no published source.</source>
        <translation>Übliche Praxis oder unser eigenes Maß; keine veröffentlichte Quelle.</translation>
    </message>
</context>
<context>
    <name>dotlane::Session</name>
    <message>
        <source>Untitled</source>
        <translation>Ohne Titel</translation>
    </message>
    <message>
        <source>That could not be worked out: %1. Nothing was changed.</source>
        <translation>Das ließ sich nicht ausrechnen: %1. Nichts wurde geändert.</translation>
    </message>
    <message>
        <source>there is not enough memory</source>
        <translation>Der Arbeitsspeicher reicht nicht</translation>
    </message>
    <message>
        <source>“%1” would lie more than 100 m away; it stays as it is.</source>
        <translation>„%1“ läge mehr als 100 m entfernt; es bleibt, wie es ist.</translation>
    </message>
    <message>
        <source>“%1” would grow to more than 10,000 times its first size; it stays as it is.</source>
        <translation>„%1“ würde mehr als 10.000-mal so groß wie zuerst; es bleibt, wie es ist.</translation>
    </message>
    <message>
        <source>“%1” would have no width or no height; it stays as it is.</source>
        <translation>„%1“ hätte keine Breite oder keine Höhe; es bleibt, wie es ist.</translation>
    </message>
    <message>
        <source>Resize</source>
        <translation>Größe ändern</translation>
    </message>
    <message>
        <source>Opening %1</source>
        <translation>%1 wird geöffnet</translation>
    </message>
    <message>
        <source>%1 It is kept as %2.</source>
        <translation>%1 Sie ist als %2 aufbewahrt.</translation>
    </message>
    <message>
        <source>Reading %1</source>
        <translation>%1 wird gelesen</translation>
    </message>
    <message>
        <source>Bring in %1</source>
        <translation>%1 hereinholen</translation>
    </message>
    <message>
        <source>Trace %1</source>
        <translation>%1 nachzeichnen</translation>
    </message>
    <message>
        <source>Name the project</source>
        <translation>Das Projekt benennen</translation>
    </message>
    <message>
        <source>Saved %1</source>
        <translation>%1 gesichert</translation>
    </message>
    <message>
        <source>Unsaved work could not be kept aside: %1</source>
        <translation>Nicht gesicherte Arbeit ließ sich nicht aufbewahren: %1</translation>
    </message>
    <message>
        <source>%1 is %2 wide, as its resolution says.</source>
        <translation>%1 ist %2 breit, wie die Auflösung darin besagt.</translation>
    </message>
</context>
<context>
    <name>dotlane::ShapeActions</name>
    <message>
        <source>New shape: %1</source>
        <translation>Neue Form: %1</translation>
    </message>
    <message>
        <source>New %1</source>
        <translation>Neu: %1</translation>
    </message>
    <message>
        <source>Add a step: %1</source>
        <translation>Einen Schritt hinzufügen: %1</translation>
    </message>
    <message>
        <source>New piece behind: the outline of what is selected</source>
        <translation>Neues Stück dahinter: der Umriss dessen, was gewählt ist</translation>
    </message>
    <message>
        <source>Outline behind</source>
        <translation>Umriss dahinter</translation>
    </message>
    <message>
        <source>New piece: a numbered template to lay the selected pieces by</source>
        <translation>Neues Stück: eine nummerierte Schablone, um die gewählten Stücke danach zu legen</translation>
    </message>
    <message>
        <source>Placement template</source>
        <translation>Legeschablone</translation>
    </message>
    <message>
        <source>New stencils: a plate for each paint of the selected pieces</source>
        <translation>Neue Schablonen: eine Platte für jede Farbe der gewählten Stücke</translation>
    </message>
    <message>
        <source>Stencils in layers</source>
        <translation>Schablonen in Lagen</translation>
    </message>
    <message>
        <source>Freeze the recipe into plain lines</source>
        <translation>Das Rezept in einfache Linien einfrieren</translation>
    </message>
    <message>
        <source>Freeze the recipe</source>
        <translation>Das Rezept einfrieren</translation>
    </message>
    <message>
        <source>Keep what the piece&apos;s openings leave as scraps on the shelf</source>
        <translation>Was die Öffnungen des Stücks übrig lassen, als Reste im Regal behalten</translation>
    </message>
    <message>
        <source>Join the pieces into one shape</source>
        <translation>Die Stücke zu einer Form vereinen</translation>
    </message>
    <message>
        <source>Cut upper pieces away from the lowest</source>
        <translation>Obere Stücke aus dem untersten wegschneiden</translation>
    </message>
    <message>
        <source>Keep what the pieces share</source>
        <translation>Behalten, was den Stücken gemeinsam ist</translation>
    </message>
    <message>
        <source>Divide the lowest piece along the others</source>
        <translation>Das unterste Stück entlang der anderen teilen</translation>
    </message>
    <message>
        <source>Trim what upper layers hide (all, or what is selected)</source>
        <translation>Beschneiden, was obere Lagen verdecken (alles oder was gewählt ist)</translation>
    </message>
    <message>
        <source>Trim under</source>
        <translation>Darunter beschneiden</translation>
    </message>
    <message>
        <source>Trimmed: %1 cm² of %2 cm² saved, %3 left out. The tuck-under is 1 mm; change it in the recipe.</source>
        <translation>Beschnitten: %1 cm² von %2 cm² gespart, %3 weggelassen. Darunter bleibt 1 mm; im Rezept zu ändern.</translation>
    </message>
    <message>
        <source>sliver</source>
        <translation>Splitter</translation>
    </message>
    <message>
        <source>slivers</source>
        <translation>Splitter</translation>
    </message>
    <message>
        <source>Stop trimming: full layers again</source>
        <translation>Nicht mehr beschneiden: wieder ganze Lagen</translation>
    </message>
    <message>
        <source>Full layers again</source>
        <translation>Wieder ganze Lagen</translation>
    </message>
    <message>
        <source>Only shape others with this piece, or run it again</source>
        <translation>Mit diesem Stück nur andere formen, oder es wieder laufen lassen</translation>
    </message>
    <message>
        <source>Helper or not</source>
        <translation>Hilfsstück oder nicht</translation>
    </message>
    <message>
        <source>The project was changed meanwhile; it is as you left it. Do that again.</source>
        <translation>Das Projekt wurde inzwischen geändert; es ist, wie Sie es verlassen haben. Bitte noch einmal.</translation>
    </message>
    <message>
        <source>Nothing falls out of this piece.</source>
        <translation>Aus diesem Stück fällt nichts heraus.</translation>
    </message>
    <message>
        <source>Keep what falls out</source>
        <translation>Behalten, was herausfällt</translation>
    </message>
    <message>
        <source>%1 of %2 are on the shelf now, for other work.</source>
        <translation>%1 von %2 liegen jetzt im Regal, für andere Arbeiten.</translation>
    </message>
    <message>
        <source>bit</source>
        <translation>Stückchen</translation>
    </message>
    <message>
        <source>bits</source>
        <translation>Stückchen</translation>
    </message>
    <message>
        <source>shape</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>shapes</source>
        <translation>Formen</translation>
    </message>
    <message>
        <source>Align left edges</source>
        <translation>Linke Kanten ausrichten</translation>
    </message>
    <message>
        <source>Align centres across</source>
        <translation>Mitten quer ausrichten</translation>
    </message>
    <message>
        <source>Align right edges</source>
        <translation>Rechte Kanten ausrichten</translation>
    </message>
    <message>
        <source>Align top edges</source>
        <translation>Obere Kanten ausrichten</translation>
    </message>
    <message>
        <source>Align middles</source>
        <translation>Mitten senkrecht ausrichten</translation>
    </message>
    <message>
        <source>Align bottom edges</source>
        <translation>Untere Kanten ausrichten</translation>
    </message>
    <message>
        <source>Even gaps across</source>
        <translation>Gleiche Lücken quer</translation>
    </message>
    <message>
        <source>Even gaps down</source>
        <translation>Gleiche Lücken hinunter</translation>
    </message>
    <message>
        <source>Group the pieces</source>
        <translation>Die Stücke gruppieren</translation>
    </message>
    <message>
        <source>Group</source>
        <translation>Gruppieren</translation>
    </message>
    <message>
        <source>Take the pieces out of their group</source>
        <translation>Die Stücke aus ihrer Gruppe nehmen</translation>
    </message>
    <message>
        <source>Ungroup</source>
        <translation>Gruppe auflösen</translation>
    </message>
    <message>
        <source>Split by colour onto matching stock</source>
        <translation>Nach Farben auf passendes Material aufteilen</translation>
    </message>
    <message>
        <source>Colours to stock</source>
        <translation>Farben auf Material</translation>
    </message>
    <message>
        <source>Unite near-equal colours</source>
        <translation>Fast gleiche Farben vereinen</translation>
    </message>
    <message>
        <source>No two colours differ by less than 5 (CIEDE2000).</source>
        <translation>Keine zwei Farben unterscheiden sich um weniger als 5 (CIEDE2000).</translation>
    </message>
    <message>
        <source>%1 to %2 (%3)</source>
        <translation>%1 zu %2 (%3)</translation>
    </message>
    <message>
        <source>%1, by their CIEDE2000 difference: %2</source>
        <translation>%1, nach ihrem CIEDE2000-Abstand: %2</translation>
    </message>
    <message>
        <source>near-equal pair</source>
        <translation>fast gleiches Paar</translation>
    </message>
    <message>
        <source>near-equal pairs</source>
        <translation>fast gleiche Paare</translation>
    </message>
    <message>
        <source>Unite them</source>
        <translation>Vereinen</translation>
    </message>
    <message>
        <source>Unite colours</source>
        <translation>Farben vereinen</translation>
    </message>
    <message>
        <source>Leave them</source>
        <translation>So lassen</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>%1 is shaped by what you remove.</source>
        <translation>%1 wird von dem geformt, was Sie entfernen.</translation>
    </message>
    <message>
        <source>%1 pieces are shaped by what you remove.</source>
        <translation>%1 Stücke werden von dem geformt, was Sie entfernen.</translation>
    </message>
    <message>
        <source>Keep its shape (freeze)</source>
        <translation>Form behalten (einfrieren)</translation>
    </message>
    <message>
        <source>Let it go without</source>
        <translation>Ohne gehen lassen</translation>
    </message>
    <message>
        <source>Do not remove</source>
        <translation>Nicht entfernen</translation>
    </message>
</context>
<context>
    <name>dotlane::ShapePopup</name>
    <message>
        <source>Ready shapes</source>
        <translation>Fertige Formen</translation>
    </message>
</context>
<context>
    <name>dotlane::SheetCard</name>
    <message>
        <source>sheet width</source>
        <translation>Bogenbreite</translation>
    </message>
    <message>
        <source>Sheet width</source>
        <translation>Bogenbreite</translation>
    </message>
    <message>
        <source>sheet height</source>
        <translation>Bogenhöhe</translation>
    </message>
    <message>
        <source>Sheet height</source>
        <translation>Bogenhöhe</translation>
    </message>
    <message>
        <source>from left</source>
        <translation>von links</translation>
    </message>
    <message>
        <source>Sheet from the left edge of the mat</source>
        <translation>Bogen vom linken Rand der Matte</translation>
    </message>
    <message>
        <source>from top</source>
        <translation>von oben</translation>
    </message>
    <message>
        <source>Sheet from the top edge of the mat</source>
        <translation>Bogen vom oberen Rand der Matte</translation>
    </message>
    <message>
        <source>mat load</source>
        <translation>Mattenladung</translation>
    </message>
    <message>
        <source>Mat load the sheet is on</source>
        <translation>Mattenladung, auf der der Bogen liegt</translation>
    </message>
    <message>
        <source>Change the mat load</source>
        <translation>Die Mattenladung ändern</translation>
    </message>
    <message>
        <source>thickness</source>
        <translation>Dicke</translation>
    </message>
    <message>
        <source>Thickness of the stock</source>
        <translation>Dicke des Materials</translation>
    </message>
    <message>
        <source>Change the thickness</source>
        <translation>Die Dicke ändern</translation>
    </message>
    <message>
        <source>grammage</source>
        <translation>Grammatur</translation>
    </message>
    <message>
        <source>Grammage of the stock</source>
        <translation>Grammatur des Materials</translation>
    </message>
    <message>
        <source>g/m²</source>
        <translation>g/m²</translation>
    </message>
    <message>
        <source>Change the grammage</source>
        <translation>Die Grammatur ändern</translation>
    </message>
    <message>
        <source>not stated</source>
        <translation>nicht angegeben</translation>
    </message>
    <message>
        <source>shrinks by</source>
        <translation>schrumpft um</translation>
    </message>
    <message>
        <source>How much the stock shrinks in the wash</source>
        <translation>Wie viel das Material beim Waschen schrumpft</translation>
    </message>
    <message>
        <source>%</source>
        <translation>%</translation>
    </message>
    <message>
        <source>Change the shrinkage</source>
        <translation>Die Schrumpfung ändern</translation>
    </message>
    <message>
        <source>Before it is cut: so much more is bought off the bolt</source>
        <translation>Bevor es geschnitten wird: So viel mehr wird vom Ballen gekauft</translation>
    </message>
    <message>
        <source>Which way the grain runs</source>
        <translation>Wie der Faden läuft</translation>
    </message>
    <message>
        <source>no grain</source>
        <translation>kein Fadenlauf</translation>
    </message>
    <message>
        <source>along the height</source>
        <translation>längs der Höhe</translation>
    </message>
    <message>
        <source>across</source>
        <translation>quer</translation>
    </message>
    <message>
        <source>grain</source>
        <translation>Fadenlauf</translation>
    </message>
    <message>
        <source>Change the grain</source>
        <translation>Den Fadenlauf ändern</translation>
    </message>
    <message>
        <source>clear, seen through</source>
        <translation>klar, durchsichtig</translation>
    </message>
    <message>
        <source>A mark on its back shows at its front; such a job is mirrored once</source>
        <translation>Eine Spur auf der Rückseite zeigt sich vorn; ein solcher Auftrag wird einmal gespiegelt</translation>
    </message>
    <message>
        <source>Make the stock clear</source>
        <translation>Das Material ist klar</translation>
    </message>
    <message>
        <source>Make the stock opaque</source>
        <translation>Das Material ist undurchsichtig</translation>
    </message>
    <message>
        <source>takes ink</source>
        <translation>nimmt Tinte an</translation>
    </message>
    <message>
        <source>Else what is drawn on it smears, or beads</source>
        <translation>Sonst schmiert oder perlt, was darauf gezeichnet wird</translation>
    </message>
    <message>
        <source>The stock takes ink</source>
        <translation>Das Material nimmt Tinte an</translation>
    </message>
    <message>
        <source>The stock takes no ink</source>
        <translation>Das Material nimmt keine Tinte an</translation>
    </message>
    <message>
        <source>a blank, never cut</source>
        <translation>ein Rohling, nie geschnitten</translation>
    </message>
    <message>
        <source>Metal or acrylic: a line left to be cut on it was forgotten</source>
        <translation>Metall oder Acryl: Eine Schnittlinie darauf wurde vergessen</translation>
    </message>
    <message>
        <source>The stock is never cut</source>
        <translation>Das Material wird nie geschnitten</translation>
    </message>
    <message>
        <source>The stock may be cut</source>
        <translation>Das Material darf geschnitten werden</translation>
    </message>
    <message>
        <source>printed before it is cut</source>
        <translation>vor dem Schneiden gedruckt</translation>
    </message>
    <message>
        <source>With dots in its corners by which the cutter finds the print</source>
        <translation>Mit Punkten in den Ecken, an denen der Schneider den Druck findet</translation>
    </message>
    <message>
        <source>Print the sheet first</source>
        <translation>Den Bogen zuerst drucken</translation>
    </message>
    <message>
        <source>Do not print the sheet</source>
        <translation>Den Bogen nicht drucken</translation>
    </message>
    <message>
        <source>run this time</source>
        <translation>diesmal laufen lassen</translation>
    </message>
    <message>
        <source>What is not run stays where it is</source>
        <translation>Was nicht läuft, bleibt, wo es ist</translation>
    </message>
    <message>
        <source>Run the sheet this time</source>
        <translation>Den Bogen diesmal laufen lassen</translation>
    </message>
    <message>
        <source>Not this time</source>
        <translation>Diesmal nicht</translation>
    </message>
    <message>
        <source>Keep offcut</source>
        <translation>Abschnitt behalten</translation>
    </message>
    <message>
        <source>Puts the largest clean rectangle on the shelf</source>
        <translation>Legt das größte saubere Rechteck ins Regal</translation>
    </message>
    <message>
        <source>Keep the offcut</source>
        <translation>Den Abschnitt behalten</translation>
    </message>
    <message>
        <source>Keep the rest</source>
        <translation>Den Rest behalten</translation>
    </message>
    <message>
        <source>Puts all that is left on the shelf, by its outline</source>
        <translation>Legt alles Übrige mit seinem Umriss ins Regal</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Takes the sheet off its mat; its parts wait</source>
        <translation>Nimmt den Bogen von seiner Matte; seine Teile warten</translation>
    </message>
    <message>
        <source>Remove the sheet</source>
        <translation>Den Bogen entfernen</translation>
    </message>
    <message>
        <source>%1 %2  ·  %3</source>
        <translation>%1 %2  ·  %3</translation>
    </message>
    <message>
        <source>Sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Scrap</source>
        <translation>Rest</translation>
    </message>
    <message>
        <source>part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>parts</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>  ·  %1 % used</source>
        <translation>  ·  %1 % genutzt</translation>
    </message>
    <message>
        <source>
offcut %1 %2</source>
        <translation>
Abschnitt %1 %2</translation>
    </message>
</context>
<context>
    <name>dotlane::SheetDesk</name>
    <message>
        <source>Pin the chosen parts, or let them go</source>
        <translation>Die gewählten Teile feststecken oder lösen</translation>
    </message>
    <message>
        <source>Keep the chosen parts together, or not</source>
        <translation>Die gewählten Teile zusammenhalten oder nicht</translation>
    </message>
    <message>
        <source>Leave the chosen parts out of the run, or not</source>
        <translation>Die gewählten Teile aus dem Lauf lassen oder nicht</translation>
    </message>
    <message>
        <source>Find room for the chosen parts</source>
        <translation>Platz für die gewählten Teile finden</translation>
    </message>
    <message>
        <source>Turn the chosen parts to fit their sheet</source>
        <translation>Die gewählten Teile passend auf ihrem Bogen drehen</translation>
    </message>
    <message>
        <source>Take the chosen parts off their sheet</source>
        <translation>Die gewählten Teile von ihrem Bogen nehmen</translation>
    </message>
    <message>
        <source>Push the parts together</source>
        <translation>Die Teile zusammenschieben</translation>
    </message>
    <message>
        <source>Turn the chosen parts to the left on their sheet</source>
        <translation>Die gewählten Teile auf ihrem Bogen nach links drehen</translation>
    </message>
    <message>
        <source>Turn the chosen parts to the right on their sheet</source>
        <translation>Die gewählten Teile auf ihrem Bogen nach rechts drehen</translation>
    </message>
    <message>
        <source>Run everything: nothing is left out any more</source>
        <translation>Alles laufen lassen: Nichts bleibt mehr weg</translation>
    </message>
    <message>
        <source>%1, %2 of %3</source>
        <translation>%1, %2 von %3</translation>
    </message>
    <message>
        <source>The project was changed meanwhile; it is as you left it. Do that again.</source>
        <translation>Das Projekt wurde inzwischen geändert; es ist, wie Sie es verlassen haben. Bitte noch einmal.</translation>
    </message>
    <message>
        <source>Nothing moved: there is no better place.</source>
        <translation>Nichts bewegte sich: Es gibt keinen besseren Platz.</translation>
    </message>
    <message>
        <source>Nudge on the sheet</source>
        <translation>Auf dem Bogen anstupsen</translation>
    </message>
    <message>
        <source>Turn on the sheet</source>
        <translation>Auf dem Bogen drehen</translation>
    </message>
    <message>
        <source>Move on the sheet</source>
        <translation>Auf dem Bogen verschieben</translation>
    </message>
    <message>
        <source>Make %1 of it</source>
        <translation>%1 davon machen</translation>
    </message>
    <message>
        <source>Make %1 of everything</source>
        <translation>%1 von allem machen</translation>
    </message>
    <message>
        <source>Find room</source>
        <translation>Platz finden</translation>
    </message>
    <message>
        <source>Turn to fit</source>
        <translation>Passend drehen</translation>
    </message>
    <message>
        <source>%1 is of another stock than that sheet; it stays where it was.</source>
        <translation>%1 ist aus anderem Material als dieser Bogen; es bleibt, wo es war.</translation>
    </message>
    <message>
        <source>Move to the sheet</source>
        <translation>Auf den Bogen verschieben</translation>
    </message>
    <message>
        <source>Push together</source>
        <translation>Zusammenschieben</translation>
    </message>
    <message>
        <source>Pin</source>
        <translation>Feststecken</translation>
    </message>
    <message>
        <source>Unpin</source>
        <translation>Lösen</translation>
    </message>
    <message>
        <source>Choose several parts of one stock to keep them together: click them with Ctrl held.</source>
        <translation>Mehrere Teile aus einem Material wählen, um sie zusammenzuhalten: mit gehaltener Strg-Taste anklicken.</translation>
    </message>
    <message>
        <source>Let go</source>
        <translation>Loslassen</translation>
    </message>
    <message>
        <source>Keep together</source>
        <translation>Zusammenhalten</translation>
    </message>
    <message>
        <source>Not this time</source>
        <translation>Diesmal nicht</translation>
    </message>
    <message>
        <source>Run it this time</source>
        <translation>Diesmal laufen lassen</translation>
    </message>
    <message>
        <source>Take off the sheet</source>
        <translation>Vom Bogen nehmen</translation>
    </message>
    <message>
        <source>Draw the scrap&apos;s outline as a piece to cut, and choose its part here; it is kept as it is drawn.</source>
        <translation>Den Umriss des Rests als Stück zum Schneiden zeichnen und sein Teil hier wählen; er wird behalten, wie er gezeichnet ist.</translation>
    </message>
    <message>
        <source>Keep a scrap as drawn</source>
        <translation>Einen Rest behalten, wie gezeichnet</translation>
    </message>
    <message>
        <source>Run everything</source>
        <translation>Alles laufen lassen</translation>
    </message>
</context>
<context>
    <name>dotlane::SheetsPanel</name>
    <message>
        <source>Sheets</source>
        <translation>Bögen</translation>
    </message>
    <message>
        <source>Lay out</source>
        <translation>Auflegen</translation>
    </message>
    <message>
        <source>Gap between parts</source>
        <translation>Lücke zwischen Teilen</translation>
    </message>
    <message>
        <source>How parts may be turned</source>
        <translation>Wie Teile gedreht werden dürfen</translation>
    </message>
    <message>
        <source>freely, by 5°</source>
        <translation>frei, um 5°</translation>
    </message>
    <message>
        <source>in steps of 15°</source>
        <translation>in Schritten von 15°</translation>
    </message>
    <message>
        <source>by quarter turns</source>
        <translation>um Vierteldrehungen</translation>
    </message>
    <message>
        <source>upside down</source>
        <translation>auf den Kopf</translation>
    </message>
    <message>
        <source>not at all</source>
        <translation>gar nicht</translation>
    </message>
    <message>
        <source>How many of everything are made</source>
        <translation>Wie viele von allem gemacht werden</translation>
    </message>
    <message>
        <source>×</source>
        <translation>×</translation>
    </message>
    <message>
        <source>gap between parts</source>
        <translation>Lücke zwischen Teilen</translation>
    </message>
    <message>
        <source>turned</source>
        <translation>gedreht</translation>
    </message>
    <message>
        <source>copies of everything</source>
        <translation>Kopien von allem</translation>
    </message>
    <message>
        <source>How far print runs on beyond a cut</source>
        <translation>Wie weit der Druck über einen Schnitt hinausgeht</translation>
    </message>
    <message>
        <source>Of sheets that are printed first: what is printed to an edge that is cut</source>
        <translation>Bei Bögen, die zuerst gedruckt werden: was bis an eine Schnittkante gedruckt ist</translation>
    </message>
    <message>
        <source>bleed of print</source>
        <translation>Beschnittzugabe</translation>
    </message>
    <message>
        <source>Change the bleed</source>
        <translation>Die Beschnittzugabe ändern</translation>
    </message>
    <message>
        <source>Pack the parts</source>
        <translation>Die Teile packen</translation>
    </message>
    <message>
        <source>Onto as few sheets as will do, scraps first</source>
        <translation>Auf so wenige Bögen, wie reichen, Reste zuerst</translation>
    </message>
    <message>
        <source>As drawn</source>
        <translation>Wie gezeichnet</translation>
    </message>
    <message>
        <source>Every part lies on its sheet as it stands in the figure</source>
        <translation>Jedes Teil liegt auf seinem Bogen, wie es in der Figur steht</translation>
    </message>
    <message>
        <source>Push together</source>
        <translation>Zusammenschieben</translation>
    </message>
    <message>
        <source>Moves the chosen parts, or all, up and to the left until the gap is left between them</source>
        <translation>Schiebt die gewählten Teile oder alle nach oben und links, bis die Lücke dazwischen bleibt</translation>
    </message>
    <message>
        <source>Run everything</source>
        <translation>Alles laufen lassen</translation>
    </message>
    <message>
        <source>Takes in again what was left out of the run</source>
        <translation>Nimmt wieder auf, was aus dem Lauf blieb</translation>
    </message>
    <message>
        <source>Change the gap</source>
        <translation>Die Lücke ändern</translation>
    </message>
    <message>
        <source>Change how parts are turned</source>
        <translation>Ändern, wie Teile gedreht werden</translation>
    </message>
    <message>
        <source>Lay everything as drawn</source>
        <translation>Alles auflegen, wie gezeichnet</translation>
    </message>
    <message>
        <source>In which order</source>
        <translation>In welcher Reihenfolge</translation>
    </message>
    <message>
        <source>Sheet by sheet, or tool by tool</source>
        <translation>Bogen für Bogen oder Werkzeug für Werkzeug</translation>
    </message>
    <message>
        <source>sheet by sheet</source>
        <translation>Bogen für Bogen</translation>
    </message>
    <message>
        <source>tool by tool</source>
        <translation>Werkzeug für Werkzeug</translation>
    </message>
    <message>
        <source>mats go in</source>
        <translation>Matten kommen hinein</translation>
    </message>
    <message>
        <source>Run tool by tool</source>
        <translation>Werkzeug für Werkzeug</translation>
    </message>
    <message>
        <source>Run sheet by sheet</source>
        <translation>Bogen für Bogen</translation>
    </message>
    <message>
        <source>%1, %2 put in, %3</source>
        <translation>%1, %2-mal eingelegt, %3</translation>
    </message>
    <message>
        <source>mat</source>
        <translation>Matte</translation>
    </message>
    <message>
        <source>mats</source>
        <translation>Matten</translation>
    </message>
    <message>
        <source>pause</source>
        <translation>Pause</translation>
    </message>
    <message>
        <source>pauses</source>
        <translation>Pausen</translation>
    </message>
    <message>
        <source>; %1 again, so lines may not meet</source>
        <translation>; %1 noch einmal, sodass Linien versetzt sein können</translation>
    </message>
    <message>
        <source>By sheet: %1.
By tool: %2.</source>
        <translation>Nach Bögen: %1.
Nach Werkzeugen: %2.</translation>
    </message>
    <message>
        <source>Good enough</source>
        <translation>Gut genug</translation>
    </message>
    <message>
        <source>Push these</source>
        <translation>Diese schieben</translation>
    </message>
    <message>
        <source>A part appears for everything that comes off a sheet as one.</source>
        <translation>Für alles, was als eins von einem Bogen kommt, erscheint ein Teil.</translation>
    </message>
    <message>
        <source>%1, as drawn.</source>
        <translation>%1, wie gezeichnet.</translation>
    </message>
    <message>
        <source>part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>parts</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>%1, each in its own place.</source>
        <translation>%1, jedes an seinem Platz.</translation>
    </message>
    <message>
        <source>%1 waiting for room.</source>
        <translation>%1 warten auf Platz.</translation>
    </message>
    <message>
        <source>Packing…</source>
        <translation>Es wird gepackt…</translation>
    </message>
    <message>
        <source>So far %1, filled to %2 %.</source>
        <translation>Bisher %1, zu %2 % gefüllt.</translation>
    </message>
    <message>
        <source>sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>sheets</source>
        <translation>Bögen</translation>
    </message>
</context>
<context>
    <name>dotlane::SheetsView</name>
    <message>
        <source>%1 is of %2, and that sheet is not; it stays where it was.</source>
        <translation>%1 ist aus %2, der Bogen nicht; es bleibt, wo es war.</translation>
    </message>
    <message>
        <source>Lay it on the sheet</source>
        <translation>Auf den Bogen legen</translation>
    </message>
    <message>
        <source>Move on the sheet</source>
        <translation>Auf dem Bogen verschieben</translation>
    </message>
    <message>
        <source>offcut %1 %2</source>
        <translation>Abschnitt %1 %2</translation>
    </message>
    <message>
        <source>%1 %2 · %3</source>
        <translation>%1 %2 · %3</translation>
    </message>
    <message>
        <source>Sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Scrap</source>
        <translation>Rest</translation>
    </message>
    <message>
        <source>not this time</source>
        <translation>diesmal nicht</translation>
    </message>
    <message>
        <source>%1 % used</source>
        <translation>%1 % genutzt</translation>
    </message>
    <message>
        <source>mat load %1</source>
        <translation>Mattenladung %1</translation>
    </message>
    <message>
        <source>Waiting</source>
        <translation>Wartend</translation>
    </message>
    <message>
        <source>%1 no room yet. Drag %2 onto a sheet, or add a sheet.</source>
        <translation>%1 noch keinen Platz. %2 auf einen Bogen ziehen oder einen Bogen hinzufügen.</translation>
    </message>
    <message>
        <source>1 part has</source>
        <translation>1 Teil hat</translation>
    </message>
    <message>
        <source>%1 parts have</source>
        <translation>%1 Teile haben</translation>
    </message>
    <message>
        <source>it</source>
        <translation>Es</translation>
    </message>
    <message>
        <source>them</source>
        <translation>Sie</translation>
    </message>
    <message>
        <source>and %1 more</source>
        <translation>und %1 mehr</translation>
    </message>
    <message>
        <source>take off the sheet</source>
        <translation>vom Bogen nehmen</translation>
    </message>
    <message>
        <source>another stock</source>
        <translation>anderes Material</translation>
    </message>
    <message>
        <source>over the edge</source>
        <translation>über den Rand</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 bis %2</translation>
    </message>
    <message>
        <source>on %1</source>
        <translation>auf %1</translation>
    </message>
    <message>
        <source>All sheets at one scale on their mats. Arrow keys move the chosen parts, comma and full stop turn them.</source>
        <translation>Alle Bögen in einem Maßstab auf ihren Matten. Pfeiltasten verschieben die gewählten Teile, Komma und Punkt drehen sie.</translation>
    </message>
    <message>
        <source>Sheets: %1</source>
        <translation>Bögen: %1</translation>
    </message>
    <message>
        <source>no part is chosen</source>
        <translation>kein Teil ist gewählt</translation>
    </message>
    <message>
        <source>%1 parts are chosen</source>
        <translation>%1 Teile sind gewählt</translation>
    </message>
</context>
<context>
    <name>dotlane::ShelfCard</name>
    <message>
        <source>Shelf</source>
        <translation>Regal</translation>
    </message>
    <message>
        <source>Stock of what is put on the shelf</source>
        <translation>Material dessen, was ins Regal kommt</translation>
    </message>
    <message>
        <source>stock</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>Width of a sheet for the shelf</source>
        <translation>Breite eines Bogens fürs Regal</translation>
    </message>
    <message>
        <source>Height of a sheet for the shelf</source>
        <translation>Höhe eines Bogens fürs Regal</translation>
    </message>
    <message>
        <source>How many sheets for the shelf</source>
        <translation>Wie viele Bögen fürs Regal</translation>
    </message>
    <message>
        <source>sheets</source>
        <translation>Bögen</translation>
    </message>
    <message>
        <source>as many as wanted</source>
        <translation>so viele wie nötig</translation>
    </message>
    <message>
        <source>width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>how many</source>
        <translation>wie viele</translation>
    </message>
    <message>
        <source>Price of a sheet for the shelf</source>
        <translation>Preis eines Bogens fürs Regal</translation>
    </message>
    <message>
        <source>not said</source>
        <translation>nicht gesagt</translation>
    </message>
    <message>
        <source>each costs</source>
        <translation>jeder kostet</translation>
    </message>
    <message>
        <source>Put on the shelf</source>
        <translation>Ins Regal legen</translation>
    </message>
    <message>
        <source>Sheets of this size</source>
        <translation>Bögen dieser Größe</translation>
    </message>
    <message>
        <source>Of another…</source>
        <translation>Eines anderen…</translation>
    </message>
    <message>
        <source>Takes what is on the shelf of another project</source>
        <translation>Nimmt, was im Regal eines anderen Projekts liegt</translation>
    </message>
    <message>
        <source>Corners of a scrap</source>
        <translation>Ecken eines Rests</translation>
    </message>
    <message>
        <source>0,0 120,0 120,80 40,110</source>
        <translation>0,0 120,0 120,80 40,110</translation>
    </message>
    <message>
        <source>The corners of a scrap in mm, one after the other</source>
        <translation>Die Ecken eines Rests in mm, eine nach der anderen</translation>
    </message>
    <message>
        <source>a scrap by its corners, in mm, or as it lies on a photograph</source>
        <translation>ein Rest nach seinen Ecken, in mm, oder wie er auf einem Foto liegt</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Puts a scrap with these corners on the shelf</source>
        <translation>Legt einen Rest mit diesen Ecken ins Regal</translation>
    </message>
    <message>
        <source>As drawn</source>
        <translation>Wie gezeichnet</translation>
    </message>
    <message>
        <source>Puts the outline of the chosen part on the shelf as a scrap</source>
        <translation>Legt den Umriss des gewählten Teils als Rest ins Regal</translation>
    </message>
    <message>
        <source>Photograph…</source>
        <translation>Foto…</translation>
    </message>
    <message>
        <source>Finds scraps on a picture of the mat</source>
        <translation>Findet Reste auf einem Bild der Matte</translation>
    </message>
    <message>
        <source>Keep a scrap</source>
        <translation>Einen Rest behalten</translation>
    </message>
    <message>
        <source>Nothing stated: sheets are there as many as wanted, of the size of the first.</source>
        <translation>Nichts angegeben: Bögen gibt es so viele wie nötig, in der Größe des ersten.</translation>
    </message>
    <message>
        <source>, any number</source>
        <translation>, beliebig viele</translation>
    </message>
    <message>
        <source>scrap, %1</source>
        <translation>Rest, %1</translation>
    </message>
    <message>
        <source>
%1 reserved</source>
        <translation>
%1 vorgemerkt</translation>
    </message>
    <message>
        <source>, %1 to buy</source>
        <translation>, %1 zu kaufen</translation>
    </message>
    <message>
        <source>from %1</source>
        <translation>von %1</translation>
    </message>
    <message>
        <source>Lay</source>
        <translation>Auflegen</translation>
    </message>
    <message>
        <source>Lay it on a mat</source>
        <translation>Auf eine Matte legen</translation>
    </message>
    <message>
        <source>Lay a sheet from the shelf</source>
        <translation>Einen Bogen aus dem Regal auflegen</translation>
    </message>
    <message>
        <source>Take it off the shelf</source>
        <translation>Aus dem Regal nehmen</translation>
    </message>
</context>
<context>
    <name>dotlane::SimCutterLink</name>
    <message>
        <source>The connection to the cutter was lost; the work on the mat stays as it is.</source>
        <translation>Die Verbindung zum Schneider ging verloren; die Arbeit auf der Matte bleibt, wie sie ist.</translation>
    </message>
    <message>
        <source>The simulated cutter cannot be started (%1).</source>
        <translation>Der simulierte Schneider lässt sich nicht starten (%1).</translation>
    </message>
    <message>
        <source>The cutter cannot be reached: %1</source>
        <translation>Der Schneider ist nicht erreichbar: %1</translation>
    </message>
    <message>
        <source>The cutter did not answer; it may still be moving: switch it off before you reach in.</source>
        <translation>Der Schneider antwortete nicht; er bewegt sich vielleicht noch: ausschalten, bevor Sie hineingreifen.</translation>
    </message>
    <message>
        <source>The cutter does not answer; the work on the mat stays as it is.</source>
        <translation>Der Schneider antwortet nicht; die Arbeit auf der Matte bleibt, wie sie ist.</translation>
    </message>
    <message>
        <source>The simulated cutter ended: %1</source>
        <translation>Der simulierte Schneider endete: %1</translation>
    </message>
    <message>
        <source>simulated cutter</source>
        <translation>simulierter Schneider</translation>
    </message>
    <message>
        <source>The cutter sent something unreadable: %1</source>
        <translation>Der Schneider sandte etwas Unlesbares: %1</translation>
    </message>
</context>
<context>
    <name>dotlane::SizeChart</name>
    <message>
        <source>Sheets of each stock against the height of the figure</source>
        <translation>Bögen jedes Materials über der Höhe der Figur</translation>
    </message>
    <message>
        <source>Click a size to choose it</source>
        <translation>Eine Größe anklicken, um sie zu wählen</translation>
    </message>
    <message>
        <source>sheets</source>
        <translation>Bögen</translation>
    </message>
    <message>
        <source>height, %1</source>
        <translation>Höhe, %1</translation>
    </message>
    <message>
        <source>today %1</source>
        <translation>heute %1</translation>
    </message>
    <message>
        <source>largest %1</source>
        <translation>größte %1</translation>
    </message>
</context>
<context>
    <name>dotlane::SizeSheet</name>
    <message>
        <source>How big may it be?</source>
        <translation>Wie groß darf es sein?</translation>
    </message>
    <message>
        <source>Lower layers</source>
        <translation>Untere Lagen</translation>
    </message>
    <message>
        <source>Lower layers whole, or trimmed where others lie on them</source>
        <translation>Untere Lagen ganz, oder beschnitten, wo andere darauf liegen</translation>
    </message>
    <message>
        <source>whole, easy to align</source>
        <translation>ganz, leicht auszurichten</translation>
    </message>
    <message>
        <source>Parts are being tried in all turns…</source>
        <translation>Teile werden in allen Drehungen probiert…</translation>
    </message>
    <message>
        <source>The largest for</source>
        <translation>Die größte für</translation>
    </message>
    <message>
        <source>So many sheets at most</source>
        <translation>Höchstens so viele Bögen</translation>
    </message>
    <message>
        <source>sheets in all</source>
        <translation>Bögen insgesamt</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Verlassen</translation>
    </message>
    <message>
        <source>Size it so</source>
        <translation>So groß machen</translation>
    </message>
    <message>
        <source>This could not be worked out: %1.</source>
        <translation>Das ließ sich nicht ausrechnen: %1.</translation>
    </message>
    <message>
        <source>trimmed where others lie on them</source>
        <translation>beschnitten, wo andere darauf liegen</translation>
    </message>
    <message>
        <source>There is no part yet whose size could be asked for.</source>
        <translation>Noch gibt es kein Teil, nach dessen Größe zu fragen wäre.</translation>
    </message>
    <message>
        <source>At most %1, %2 % of its size today: %3 stops it, turned by %4°.</source>
        <translation>Höchstens %1, %2 % der heutigen Größe: %3 begrenzt es, um %4° gedreht.</translation>
    </message>
    <message>
        <source>Sizes are being tried…</source>
        <translation>Größen werden probiert…</translation>
    </message>
    <message>
        <source>Chosen: %1.</source>
        <translation>Gewählt: %1.</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>That takes %1 at most: %2.</source>
        <translation>Das braucht höchstens %1: %2.</translation>
    </message>
    <message>
        <source>sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>sheets</source>
        <translation>Bögen</translation>
    </message>
    <message>
        <source>Even a quarter of that size takes more than %1.</source>
        <translation>Selbst ein Viertel dieser Größe braucht mehr als %1.</translation>
    </message>
</context>
<context>
    <name>dotlane::StepsLedger</name>
    <message>
        <source>Steps</source>
        <translation>Schritte</translation>
    </message>
    <message>
        <source>Steps and their parts</source>
        <translation>Schritte und ihre Teile</translation>
    </message>
    <message>
        <source>%1 of %2 in place</source>
        <translation>%1 von %2 am Platz</translation>
    </message>
</context>
<context>
    <name>dotlane::StepsModel</name>
    <message>
        <source>sheet %1</source>
        <translation>Bogen %1</translation>
    </message>
    <message>
        <source>waits</source>
        <translation>wartet</translation>
    </message>
    <message>
        <source>Step %1, %2: %3 of %4 in place</source>
        <translation>Schritt %1, %2: %3 von %4 am Platz</translation>
    </message>
    <message>
        <source>%1 %2, %3, %4</source>
        <translation>%1 %2, %3, %4</translation>
    </message>
    <message>
        <source>in place</source>
        <translation>am Platz</translation>
    </message>
    <message>
        <source>not in place yet</source>
        <translation>noch nicht am Platz</translation>
    </message>
</context>
<context>
    <name>dotlane::ToolRack</name>
    <message>
        <source>Tool rack</source>
        <translation>Werkzeugbord</translation>
    </message>
    <message>
        <source>Add a pen</source>
        <translation>Einen Stift hinzufügen</translation>
    </message>
    <message>
        <source>New pen</source>
        <translation>Neuer Stift</translation>
    </message>
    <message>
        <source>Tool: %1</source>
        <translation>Werkzeug: %1</translation>
    </message>
    <message>
        <source>Change the tool: %1</source>
        <translation>Das Werkzeug ändern: %1</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Tool: kind</source>
        <translation>Werkzeug: Art</translation>
    </message>
    <message>
        <source>kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>Change the kind of tool</source>
        <translation>Die Art des Werkzeugs ändern</translation>
    </message>
    <message>
        <source>tip width</source>
        <translation>Spitzenbreite</translation>
    </message>
    <message>
        <source>least force</source>
        <translation>kleinste Kraft</translation>
    </message>
    <message>
        <source>gf</source>
        <translation>gf</translation>
    </message>
    <message>
        <source>most force</source>
        <translation>größte Kraft</translation>
    </message>
    <message>
        <source>thickest stock</source>
        <translation>dickstes Material</translation>
    </message>
    <message>
        <source>Tool: how many of it there are</source>
        <translation>Werkzeug: wie viele es davon gibt</translation>
    </message>
    <message>
        <source>of it</source>
        <translation>davon</translation>
    </message>
    <message>
        <source>Two blades may wait in two holders, each at a mark of its own</source>
        <translation>Zwei Klingen können in zwei Haltern warten, jede auf eigener Marke</translation>
    </message>
    <message>
        <source>there are</source>
        <translation>vorhanden</translation>
    </message>
    <message>
        <source>Change how many of a tool there are</source>
        <translation>Ändern, wie viele es von einem Werkzeug gibt</translation>
    </message>
    <message>
        <source>dries in</source>
        <translation>trocknet in</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>How long its ink is wet: no pass goes over it before. 0: at once</source>
        <translation>Wie lange seine Tinte nass ist: Vorher geht kein Durchgang darüber. 0: sofort</translation>
    </message>
    <message>
        <source>its ink is ironed on</source>
        <translation>Tinte wird aufgebügelt</translation>
    </message>
    <message>
        <source>Heat-transfer pens stand upright before they are used</source>
        <translation>Stifte zum Aufbügeln stehen vor dem Gebrauch aufrecht</translation>
    </message>
    <message>
        <source>Change the ink</source>
        <translation>Die Tinte ändern</translation>
    </message>
    <message>
        <source>edge trails by</source>
        <translation>Schneide läuft nach um</translation>
    </message>
    <message>
        <source>How far the edge touches behind the axis it swivels on: the head leads it round corners. 0: the machine sees to that itself</source>
        <translation>Wie weit die Schneide hinter der Achse aufsetzt, um die sie schwenkt: Der Kopf führt sie um Ecken. 0: Die Maschine sorgt selbst dafür</translation>
    </message>
    <message>
        <source>runs on by</source>
        <translation>läuft weiter um</translation>
    </message>
    <message>
        <source>How far it cuts on past the start of a closed contour, so that the end comes free</source>
        <translation>Wie weit es über den Anfang einer geschlossenen Kontur hinaus schneidet, damit das Ende frei wird</translation>
    </message>
    <message>
        <source>tip right of middle</source>
        <translation>Spitze rechts der Mitte</translation>
    </message>
    <message>
        <source>tip below middle</source>
        <translation>Spitze unter der Mitte</translation>
    </message>
    <message>
        <source>Where the tip touches beside the middle of its holder, as it sits when it is not turned</source>
        <translation>Wo die Spitze neben der Mitte ihres Halters aufsetzt, wie sie ungedreht sitzt</translation>
    </message>
    <message>
        <source>Change where the tip touches</source>
        <translation>Ändern, wo die Spitze aufsetzt</translation>
    </message>
    <message>
        <source>sits turned by</source>
        <translation>sitzt gedreht um</translation>
    </message>
    <message>
        <source>How far it is turned in its holder, counter-clockwise: the place of the tip turns with it</source>
        <translation>Wie weit es in seinem Halter gedreht ist, gegen den Uhrzeigersinn: Die Stelle der Spitze dreht sich mit</translation>
    </message>
    <message>
        <source>marks for</source>
        <translation>reicht für</translation>
    </message>
    <message>
        <source>m</source>
        <translation>m</translation>
    </message>
    <message>
        <source>How far it marks until it is dry or worn out; 0: nobody knows. A calibration sheet tells</source>
        <translation>Wie weit es reicht, bis es trocken oder abgenutzt ist; 0: niemand weiß es. Ein Kalibrierbogen sagt es</translation>
    </message>
    <message>
        <source>not known</source>
        <translation>nicht bekannt</translation>
    </message>
    <message>
        <source>Tool: price of a new one</source>
        <translation>Werkzeug: Preis eines neuen</translation>
    </message>
    <message>
        <source>not said</source>
        <translation>nicht gesagt</translation>
    </message>
    <message>
        <source>a new one costs</source>
        <translation>ein neues kostet</translation>
    </message>
    <message>
        <source>Change what a tool costs</source>
        <translation>Ändern, was ein Werkzeug kostet</translation>
    </message>
    <message>
        <source>It is a new one</source>
        <translation>Es ist ein neues</translation>
    </message>
    <message>
        <source>What it has marked is counted from now on</source>
        <translation>Was es gezogen hat, wird von nun an gezählt</translation>
    </message>
    <message>
        <source>fills close at</source>
        <translation>Füllung schließt bei</translation>
    </message>
    <message>
        <source>The widest spacing of a fill at which no stock shows between its strokes; 0: the tip width. A swatch tells</source>
        <translation>Der weiteste Abstand einer Füllung, bei dem kein Material zwischen den Strichen durchscheint; 0: die Spitzenbreite. Ein Muster sagt es</translation>
    </message>
    <message>
        <source>Choose…</source>
        <translation>Wählen…</translation>
    </message>
    <message>
        <source>Ink colour</source>
        <translation>Farbe der Tinte</translation>
    </message>
    <message>
        <source>ink</source>
        <translation>Tinte</translation>
    </message>
    <message>
        <source>Change what the tool serves</source>
        <translation>Ändern, wozu das Werkzeug dient</translation>
    </message>
    <message>
        <source>serves</source>
        <translation>dient zum</translation>
    </message>
    <message>
        <source>Copy it</source>
        <translation>Kopieren</translation>
    </message>
    <message>
        <source>Take it off the rack</source>
        <translation>Vom Werkzeugbord nehmen</translation>
    </message>
    <message>
        <source>%1, copy</source>
        <translation>%1, Kopie</translation>
    </message>
    <message>
        <source>Copy the tool</source>
        <translation>Das Werkzeug kopieren</translation>
    </message>
    <message>
        <source>Take a tool off the rack</source>
        <translation>Ein Werkzeug vom Werkzeugbord nehmen</translation>
    </message>
    <message>
        <source>%1 still want it</source>
        <translation>%1 wollen es noch</translation>
    </message>
    <message>
        <source>line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>lines</source>
        <translation>Linien</translation>
    </message>
    <message>
        <source>%1 m so far</source>
        <translation>%1 m bisher</translation>
    </message>
</context>
<context>
    <name>dotlane::TopBar</name>
    <message>
        <source>Project menu</source>
        <translation>Projektmenü</translation>
    </message>
    <message>
        <source>Draft</source>
        <translation>Entwurf</translation>
    </message>
    <message>
        <source>Sheets</source>
        <translation>Bögen</translation>
    </message>
    <message>
        <source>Passes</source>
        <translation>Durchgänge</translation>
    </message>
    <message>
        <source>Run</source>
        <translation>Lauf</translation>
    </message>
    <message>
        <source>Make</source>
        <translation>Bauen</translation>
    </message>
    <message>
        <source>Log</source>
        <translation>Logbuch</translation>
    </message>
    <message>
        <source>mm</source>
        <translation>mm</translation>
    </message>
    <message>
        <source>in</source>
        <translation>in</translation>
    </message>
    <message>
        <source>Use millimetres</source>
        <translation>Millimeter verwenden</translation>
    </message>
    <message>
        <source>Use inches</source>
        <translation>Zoll verwenden</translation>
    </message>
    <message>
        <source>pause</source>
        <translation>Pause</translation>
    </message>
    <message>
        <source>pauses</source>
        <translation>Pausen</translation>
    </message>
    <message>
        <source>sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>sheets</source>
        <translation>Bögen</translation>
    </message>
    <message>
        <source>What the last edit cost or saved: %1</source>
        <translation>Was die letzte Änderung kostete oder sparte: %1</translation>
    </message>
    <message>
        <source>Not saved yet</source>
        <translation>Noch nicht gesichert</translation>
    </message>
    <message>
        <source>  (changed)</source>
        <translation>  (geändert)</translation>
    </message>
    <message>
        <source>piece</source>
        <translation>Stück</translation>
    </message>
    <message>
        <source>pieces</source>
        <translation>Stücke</translation>
    </message>
    <message>
        <source>%1 hidden of %2</source>
        <translation>%1 von %2 ausgeblendet</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>Second look</source>
        <translation>Zweiter Blick</translation>
    </message>
    <message>
        <source>Second look  %1</source>
        <translation>Zweiter Blick  %1</translation>
    </message>
    <message>
        <source>Second look: %1</source>
        <translation>Zweiter Blick: %1</translation>
    </message>
    <message>
        <source>finding</source>
        <translation>Befund</translation>
    </message>
    <message>
        <source>findings</source>
        <translation>Befunde</translation>
    </message>
</context>
<context>
    <name>dotlane::Tour</name>
    <message>
        <source>Leave the tour</source>
        <translation>Den Rundgang verlassen</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>Next</source>
        <translation>Weiter</translation>
    </message>
    <message>
        <source>Now you</source>
        <translation>Jetzt Sie</translation>
    </message>
</context>
<context>
    <name>dotlane::Typing</name>
    <message>
        <source>Type</source>
        <translation>Schreiben</translation>
    </message>
    <message>
        <source>Choose a letterform</source>
        <translation>Eine Buchstabenform wählen</translation>
    </message>
    <message>
        <source>Put in a letterform</source>
        <translation>Eine Buchstabenform einsetzen</translation>
    </message>
    <message>
        <source>Nudge a letter</source>
        <translation>Einen Buchstaben anstupsen</translation>
    </message>
    <message>
        <source>Delete</source>
        <translation>Löschen</translation>
    </message>
</context>
<context>
    <name>dotlane::WorkedView</name>
    <message>
        <source>What worked: force against blade depth, a field for each stock</source>
        <translation>Was gelang: Kraft gegen Klingentiefe, ein Feld je Material</translation>
    </message>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>pass</source>
        <translation>Durchgang</translation>
    </message>
    <message>
        <source>passes</source>
        <translation>Durchgänge</translation>
    </message>
    <message>
        <source>force, gf; upward: depth mark</source>
        <translation>Kraft, gf; nach oben: Tiefenmarke</translation>
    </message>
</context>
<context>
    <name>help</name>
    <message>
        <source>yes</source>
        <translation>ja</translation>
    </message>
    <message>
        <source>no</source>
        <translation>nein</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Each of them can be changed under Preferences.</source>
        <translation>Jede lässt sich unter Einstellungen ändern.</translation>
    </message>
</context>
<context>
    <name>main</name>
    <message>
        <source>Plans and rehearses multi-tool jobs for a small craft cutter.</source>
        <translation>Plant und probt Aufträge mit mehreren Werkzeugen für einen kleinen Bastelschneider.</translation>
    </message>
    <message>
        <source>A project to open, or drawings to bring in.</source>
        <translation>Ein Projekt zum Öffnen oder Zeichnungen zum Hereinholen.</translation>
    </message>
    <message>
        <source>Only write a picture of every main view here.</source>
        <translation>Nur von jeder Hauptansicht ein Bild hierher schreiben.</translation>
    </message>
    <message>
        <source>folder</source>
        <translation>Ordner</translation>
    </message>
</context>
<context>
    <name>simcutter</name>
    <message>
        <source>A simulated two-axis cutter that listens on a local socket.</source>
        <translation>Ein simulierter Schneider mit zwei Achsen, der an einem lokalen Socket lauscht.</translation>
    </message>
    <message>
        <source>Name of the local socket to listen on.</source>
        <translation>Name des lokalen Sockets, an dem gelauscht wird.</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>End when the first client has gone.</source>
        <translation>Enden, wenn der erste Klient gegangen ist.</translation>
    </message>
    <message>
        <source>File that keeps what is on the mat, and how far the job is.</source>
        <translation>Datei, die behält, was auf der Matte ist und wie weit der Auftrag ist.</translation>
    </message>
    <message>
        <source>file</source>
        <translation>Datei</translation>
    </message>
    <message>
        <source>cannot listen on %1: %2</source>
        <translation>kann an %1 nicht lauschen: %2</translation>
    </message>
</context>
</TS>
