<?php

declare(strict_types=1);

namespace App\Prices;

/**
 * What a column holds, told by its heading, in the languages of the regions whose currencies ship: English, German, French, Spanish,
 * Portuguese, Italian, Dutch, Swedish, Norwegian, Danish, Icelandic, Finnish, Polish, Czech, Hungarian, Romanian, Bulgarian, Ukrainian,
 * Turkish, Greek, Japanese, Korean, Chinese, Thai, Indonesian, Vietnamese, Hindi, Hebrew, Arabic. Words from memory.
 */
final readonly class Headings
{
    private const WORDS = [
        'name' => ['thing', 'what', 'item', 'name', 'product', 'article', 'description', 'variety', 'artikel', 'ware', 'bezeichnung', 'sorte', 'produkt', 'article',
            'produit', 'désignation', 'nom', 'variété', 'artículo', 'producto', 'nombre', 'descripción', 'variedad', 'artigo', 'produto', 'nome', 'descrição',
            'articolo', 'prodotto', 'descrizione', 'varietà', 'naam', 'omschrijving', 'product', 'vara', 'benämning', 'vare', 'varenavn', 'vörulýsing', 'vara',
            'tuote', 'nimi', 'towar', 'nazwa', 'produkt', 'zboží', 'název', 'termék', 'megnevezés', 'név', 'produs', 'denumire', 'артикул', 'стока', 'продукт',
            'товар', 'назва', 'ürün', 'ad', 'adı', 'προϊόν', 'είδος', 'όνομα', '品名', '商品', '商品名', '品目', '상품', '품목', '이름', '名称', '名稱', '品項',
            'สินค้า', 'ชื่อ', 'barang', 'nama', 'sản phẩm', 'tên', 'वस्तु', 'नाम', 'מוצר', 'שם', 'المنتج', 'الاسم', 'الصنف'],
        'shop' => ['shop', 'store', 'where', 'seller', 'supplier', 'laden', 'geschäft', 'händler', 'magasin', 'boutique', 'vendeur', 'tienda', 'proveedor', 'loja',
            'negozio', 'venditore', 'winkel', 'butik', 'affär', 'butikk', 'forretning', 'verslun', 'kauppa', 'myymälä', 'sklep', 'obchod', 'bolt', 'üzlet',
            'magazin', 'магазин', 'крамниця', 'mağaza', 'dükkan', 'κατάστημα', '店', '店舗', '가게', '상점', '商店', 'ร้าน', 'toko', 'cửa hàng', 'दुकान', 'חנות', 'المتجر'],
        'price' => ['price', 'cost', 'paid', 'amount', 'preis', 'kosten', 'betrag', 'prix', 'coût', 'montant', 'precio', 'coste', 'costo', 'importe', 'preço',
            'custo', 'valor', 'prezzo', 'importo', 'prijs', 'bedrag', 'pris', 'kostnad', 'beløb', 'beløp', 'verð', 'hinta', 'cena', 'ár', 'preț', 'pret', 'цена',
            'ціна', 'fiyat', 'tutar', 'τιμή', '価格', '値段', '金額', '가격', '금액', '价格', '價格', 'ราคา', 'harga', 'giá', 'कीमत', 'मूल्य', 'מחיר', 'السعر'],
        'holds' => ['holds', 'pack', 'size', 'content', 'contents', 'quantity', 'amount in pack', 'inhalt', 'menge', 'packung', 'contenu', 'contenance', 'quantité',
            'contenido', 'cantidad', 'tamaño', 'conteúdo', 'quantidade', 'tamanho', 'contenuto', 'quantità', 'inhoud', 'hoeveelheid', 'innehåll', 'mängd',
            'innhold', 'mengde', 'indhold', 'mængde', 'innihald', 'magn', 'sisältö', 'määrä', 'zawartość', 'ilość', 'obsah', 'množství', 'tartalom', 'mennyiség',
            'conținut', 'cantitate', 'съдържание', 'количество', 'вміст', 'кількість', 'içerik', 'miktar', 'περιεχόμενο', 'ποσότητα', '内容量', '数量', '용량', '수량',
            '规格', '規格', '數量', 'ขนาด', 'ปริมาณ', 'isi', 'jumlah', 'số lượng', 'मात्रा', 'כמות', 'תכולה', 'الكمية'],
        'unit' => ['unit', 'units', 'einheit', 'unité', 'unidad', 'unidade', 'unità', 'eenheid', 'enhet', 'enhed', 'eining', 'yksikkö', 'jednostka', 'jednotka',
            'egység', 'mértékegység', 'unitate', 'единица', 'мярка', 'одиниця', 'birim', 'μονάδα', '単位', '단위', '单位', '單位', 'หน่วย', 'satuan', 'đơn vị', 'इकाई', 'יחידה', 'الوحدة'],
        'on' => ['date', 'day', 'on', 'when', 'datum', 'tag', 'jour', 'fecha', 'día', 'data', 'dia', 'giorno', 'dag', 'dato', 'dagsetning', 'päivä', 'päivämäärä', 'dzień',
            'den', 'dátum', 'nap', 'дата', 'ден', 'tarih', 'gün', 'ημερομηνία', '日付', '日', '날짜', '日期', 'วันที่', 'tanggal', 'ngày', 'दिनांक', 'תאריך', 'التاريخ'],
        'currency' => ['currency', 'währung', 'devise', 'monnaie', 'moneda', 'moeda', 'valuta', 'gjaldmiðill', 'valuutta', 'waluta', 'měna', 'pénznem', 'monedă',
            'валута', 'para birimi', 'döviz', 'νόμισμα', '通貨', '통화', '货币', '貨幣', 'สกุลเงิน', 'mata uang', 'tiền tệ', 'मुद्रा', 'מטבע', 'العملة'],
    ];

    /** @return list<string> */
    public static function columns(): array
    {
        return array_keys(self::WORDS);
    }

    /**
     * @param  list<string>  $headings
     * @return array<string, int> place of each column that is recognised; the first that fits takes it
     */
    public static function recognise(array $headings): array
    {
        $map = [];
        foreach ($headings as $place => $heading) {
            $plain = trim((string) preg_replace('/[\s:.()*]+/u', ' ', mb_strtolower($heading)));
            foreach (self::WORDS as $column => $words) {
                if (! isset($map[$column]) && in_array($plain, $words, true)) {
                    $map[$column] = $place;

                    break;
                }
            }
        }

        return $map;
    }
}
