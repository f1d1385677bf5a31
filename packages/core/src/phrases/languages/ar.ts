import type { Language } from '../phrase.ts';

export const ar: Language = {
  code: 'ar',
  name: 'العربية',
  phrases: {
    skip: 'انتقل إلى المحتوى',
    newWindow: 'يفتح في نافذة جديدة',
    mainNavigation: 'التنقل الرئيسي',
    menu: 'القائمة',
    pagesBelow: 'المزيد في {page}',
    table: 'جدول',
    largeView: 'عرض مكبّر',
    slides: 'شرائح',
    previous: 'السابق',
    next: 'التالي',
    close: 'إغلاق',
    pause: 'إيقاف الحركة',
    play: 'متابعة الحركة',
    help: 'مساعدة',
    searchHelp: 'ابحث في الإجابات',
    nothingFound: 'لا توجد نتائج. جرّب كلمات أخرى.',
    loadsFrom: 'لا يُحمَّل شيء من {host} قبل أن تطلبه.',
    showHere: 'اعرضه هنا',
    required: 'الحقول التي تحمل علامة * مطلوبة.',
    notFound: 'الصفحة غير موجودة',
    notFoundText: 'لا يوجد شيء في هذا العنوان. ربما نُقلت الصفحة.',
  },
};
